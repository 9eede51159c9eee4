import type { APIRoute } from 'astro';
import { answerFile, context, download, reachedAt, visitCalendar } from '../../../../server';

/** The next visit as a calendar file. */
export const GET: APIRoute = ({ params, request, url }) =>
  answerFile(async () => {
    const id = params.id ?? '';
    const { file, tag } = await visitCalendar(context(), id, `${reachedAt(request, url)}/jobs/${id}`);
    return download(file, 'text/calendar; charset=utf-8', `${tag}.next-visit.ics`);
  });
