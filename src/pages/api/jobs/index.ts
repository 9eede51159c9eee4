import type { APIRoute } from 'astro';
import { createJobSchema } from '../../../contract';
import { answer, body, context, createJob } from '../../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => createJob(context(), await body(request, createJobSchema)));
