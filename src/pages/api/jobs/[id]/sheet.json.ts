import type { APIRoute } from 'astro';
import { answer, context, jobSheet } from '../../../../server';

/** The bench sheet of a job, to keep or to hand on. */
export const GET: APIRoute = async ({ params }) => {
  let tag = 'job';
  const response = await answer(async () => {
    const sheet = await jobSheet(context(), params.id ?? '');
    tag = sheet.tag;
    return sheet.written;
  });
  if (response.ok) response.headers.set('Content-Disposition', `attachment; filename="${tag}.bench-sheet.json"`);
  return response;
};
