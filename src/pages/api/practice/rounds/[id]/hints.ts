import type { APIRoute } from 'astro';
import { hintSchema } from '../../../../../contract';
import { answer, body, context, giveHint } from '../../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => giveHint(context(), params.id ?? '', await body(request, hintSchema)));
