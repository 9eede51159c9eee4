import type { APIRoute } from 'astro';
import { handOverRequestSchema } from '../../../../contract';
import { answer, body, context, handOverJob, handOverView } from '../../../../server';

/** The hand-over as it would be written now, and as it was written last. */
export const GET: APIRoute = ({ params }) => answer(() => handOverView(context(), params.id ?? ''));

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => handOverJob(context(), params.id ?? '', await body(request, handOverRequestSchema)));
