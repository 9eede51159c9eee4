import type { APIRoute } from 'astro';
import { signOffSchema } from '../../../../contract';
import { answer, body, context, signOff } from '../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => signOff(context(), params.id ?? '', await body(request, signOffSchema)));
