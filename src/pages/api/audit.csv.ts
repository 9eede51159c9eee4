import type { APIRoute } from 'astro';
import { answerFile, auditAsked, context, download, heavily } from '../../server';

/** Who did what, as CSV. */
export const GET: APIRoute = ({ url, request }) =>
  answerFile(async () => {
    const csv = await heavily(context(), 'auditCsv', [auditAsked(url.searchParams)], request.signal);
    return download(csv, 'text/csv; charset=utf-8', 'audit.csv');
  });
