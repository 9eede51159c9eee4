import type { APIRoute } from 'astro';
import { counterAskSchema } from '../../../contract';
import { answer, body, context, counterReply } from '../../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => counterReply(context(), await body(request, counterAskSchema)));
