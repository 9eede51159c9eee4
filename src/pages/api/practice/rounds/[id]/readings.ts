import type { APIRoute } from 'astro';
import { takeSchema } from '../../../../../contract';
import { answer, body, context, takeReading } from '../../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => takeReading(context(), params.id ?? '', await body(request, takeSchema)));
