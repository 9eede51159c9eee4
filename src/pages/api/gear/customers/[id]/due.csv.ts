import type { APIRoute } from 'astro';
import { answerFile, context, download, dueAsCsv } from '../../../../../server';

/** What is due of a customer's saws, as CSV. */
export const GET: APIRoute = ({ params }) =>
  answerFile(async () => {
    const { file, customer } = await dueAsCsv(context(), params.id ?? '');
    return download(file, 'text/csv; charset=utf-8', `${customer}.due.csv`);
  });
