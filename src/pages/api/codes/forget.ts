import type { APIRoute } from 'astro';
import { forgetCodeSchema } from '../../../contract';
import { answer, body, context, forgetCode } from '../../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => forgetCode(context(), await body(request, forgetCodeSchema)));
