import type { APIRoute } from 'astro';
import { makeTokenSchema } from '../../../contract';
import { answer, body, context, makeToken } from '../../../server';

/** Makes a token for another program: it is in the answer, and nowhere else. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => makeToken(context(), await body(request, makeTokenSchema)));
