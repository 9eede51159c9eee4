import type { APIRoute } from 'astro';
import { handOverRequestSchema, type HandOverPage, type HandOverView } from '../../../../contract';
import { answer, body, context, handOverJob, handOverView, PAPER_LINKS } from '../../../../server';

const page = (view: HandOverView): HandOverPage => ({ ...view, papers: PAPER_LINKS });

/** The hand-over as it would be written now, and as it was written last. */
export const GET: APIRoute = ({ params }) => answer(async () => page(await handOverView(context(), params.id ?? '')));

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => page(await handOverJob(context(), params.id ?? '', await body(request, handOverRequestSchema))));
