import type { APIRoute } from 'astro';
import { answerFile, context, download, heavily, reachedAt } from '../../../../../server';

/** The same as a calendar file. */
export const GET: APIRoute = ({ params, request, url }) =>
  answerFile(async () => {
    const { file, customer } = await heavily(
      context(),
      'dueCalendar',
      [params.id ?? '', reachedAt(request, url)],
      request.signal,
    );
    return download(file, 'text/calendar; charset=utf-8', `${customer}.due.ics`);
  });
