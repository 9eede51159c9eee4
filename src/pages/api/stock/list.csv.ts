import type { APIRoute } from 'astro';
import { answerFile, context, heavily } from '../../../server';

/** The whole stock list, to keep or to work on in a table program. */
export const GET: APIRoute = ({ request }) =>
  answerFile(
    async () =>
      new Response(await heavily(context(), 'stockCsv', [], request.signal), {
        headers: {
          'Content-Type': 'text/csv; charset=utf-8',
          'Content-Disposition': 'attachment; filename="stock.csv"',
          'Cache-Control': 'no-store',
        },
      }),
  );
