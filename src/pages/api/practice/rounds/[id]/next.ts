import type { APIRoute } from 'astro';
import { bySchema } from '../../../../../contract';
import { answer, body, context, nextRound } from '../../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => nextRound(context(), params.id ?? '', await body(request, bySchema)));
