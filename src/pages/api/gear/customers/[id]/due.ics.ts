import type { APIRoute } from 'astro';
import { answerFile, context, download, dueAsCalendar, reachedAt } from '../../../../../server';

/** The same as a calendar file. */
export const GET: APIRoute = ({ params, request, url }) =>
  answerFile(async () => {
    const { file, customer } = await dueAsCalendar(context(), params.id ?? '', reachedAt(request, url));
    return download(file, 'text/calendar; charset=utf-8', `${customer}.due.ics`);
  });
