import type { APIRoute } from 'astro';
import { putReadingsSchema } from '../../../../contract';
import { answer, body, context, putReadings } from '../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => putReadings(context(), params.id ?? '', await body(request, putReadingsSchema)));
