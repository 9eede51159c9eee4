import type { APIRoute } from 'astro';
import { studyHandSchema } from '../../../contract';
import { answer, body, context, studyHand } from '../../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => studyHand(context(), await body(request, studyHandSchema)));
