import type { APIRoute } from 'astro';
import { answer, context, modelRows } from '../../../../server';

/** Some of the models of saws, for a table that is scrolled on. */
export const GET: APIRoute = ({ url }) => answer(() => modelRows(context(), url.searchParams.get('from')));
