import type { APIRoute } from 'astro';
import { allSawsRows, answer, context } from '../../../../server';

/** Some of all saws, for a table that is scrolled on. */
export const GET: APIRoute = ({ url }) => answer(() => allSawsRows(context(), url.searchParams));
