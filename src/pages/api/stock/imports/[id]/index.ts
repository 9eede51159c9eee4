import type { APIRoute } from 'astro';
import { importBatchSchema } from '../../../../../contract';
import { answer, body, context, takeInBatch } from '../../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => takeInBatch(context(), params.id ?? '', await body(request, importBatchSchema)));
