import type { APIRoute } from 'astro';
import { beginRoundSchema } from '../../../../contract';
import { answer, beginRound, body, context } from '../../../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => beginRound(context(), await body(request, beginRoundSchema)));
