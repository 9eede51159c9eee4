import type { APIRoute } from 'astro';
import { changePartSchema } from '../../../../contract';
import { answer, body, changePart, context } from '../../../../server';

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => changePart(context(), params.sku ?? '', await body(request, changePartSchema)));
