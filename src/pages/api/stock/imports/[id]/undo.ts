import type { APIRoute } from 'astro';
import { bySchema } from '../../../../../contract';
import { answer, body, context, undoImport } from '../../../../../server';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => undoImport(context(), params.id ?? '', (await body(request, bySchema)).by));
