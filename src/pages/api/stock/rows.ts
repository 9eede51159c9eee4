import type { APIRoute } from 'astro';
import { answer, context, stockRows } from '../../../server';

/** Some of the stock list, for a table that is scrolled on. */
export const GET: APIRoute = ({ url }) => answer(() => stockRows(context(), url.searchParams));
