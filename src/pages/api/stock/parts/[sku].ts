import type { APIRoute } from 'astro';
import { changePartSchema, movePartSchema } from '../../../../contract';
import { answer, body, changePart, context, movePart, partCard } from '../../../../server';

/** A part's card. */
export const GET: APIRoute = ({ params }) => answer(() => partCard(context(), params.sku ?? ''));

/** Puts it right. */
export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => changePart(context(), params.sku ?? '', await body(request, changePartSchema)));

/** Takes from it or books in. */
export const POST: APIRoute = ({ params, request }) =>
  answer(async () => movePart(context(), params.sku ?? '', await body(request, movePartSchema)));
