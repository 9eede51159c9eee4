import type { APIRoute } from 'astro';
import { putCodeSchema } from '../../../contract';
import { answer, body, context, learnCode } from '../../../server';

export const PUT: APIRoute = ({ request }) =>
  answer(async () => learnCode(context(), await body(request, putCodeSchema)));
