import type { APIRoute } from 'astro';
import { answer, context, stockView } from '../../../server';

/** The stock page's view, for a page that stands open. */
export const GET: APIRoute = ({ url }) => answer(() => stockView(context(), url.searchParams));
