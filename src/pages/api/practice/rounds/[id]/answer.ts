import type { APIRoute } from 'astro';
import { practiceAnswerSchema } from '../../../../../contract';
import { answer, body, context, answerRound } from '../../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => answerRound(context(), params.id ?? '', await body(request, practiceAnswerSchema)));
