import type { APIRoute } from 'astro';
import { allCustomersRows, answer, context } from '../../../../server';

/** Some of all customers, for a table that is scrolled on. */
export const GET: APIRoute = ({ url }) => answer(() => allCustomersRows(context(), url.searchParams));
