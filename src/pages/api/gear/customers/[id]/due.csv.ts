import type { APIRoute } from 'astro';
import { answerFile, context, download, heavily } from '../../../../../server';

/** What is due of a customer's saws, as CSV. */
export const GET: APIRoute = ({ params, request }) =>
  answerFile(async () => {
    const { file, customer } = await heavily(context(), 'dueCsv', [params.id ?? ''], request.signal);
    return download(file, 'text/csv; charset=utf-8', `${customer}.due.csv`);
  });
