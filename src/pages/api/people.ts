import type { APIRoute } from 'astro';
import { addPersonSchema } from '../../contract';
import { answer, body, context, joinBench } from '../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => joinBench(context(), (await body(request, addPersonSchema)).name));
