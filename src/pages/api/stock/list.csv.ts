import type { APIRoute } from 'astro';
import { context, stockAsCsv } from '../../../server';

/** The whole stock list, to keep or to work on in a table program. */
export const GET: APIRoute = async () =>
  new Response(await stockAsCsv(context()), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="stock.csv"',
      'Cache-Control': 'no-store',
    },
  });
