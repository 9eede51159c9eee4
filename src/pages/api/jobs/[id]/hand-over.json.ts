import type { APIRoute } from 'astro';
import { answer, context, handOverOf } from '../../../../server';

/** The hand-over of a job as a document, to keep or to hand on. */
export const GET: APIRoute = async ({ params }) => {
  let tag = 'job';
  const response = await answer(async () => {
    const document = await handOverOf(context(), params.id ?? '');
    tag = document.job.reference;
    return document;
  });
  if (response.ok) response.headers.set('Content-Disposition', `attachment; filename="${tag}.handover.json"`);
  return response;
};
