import type { APIRoute } from 'astro';
import { answer, benchOf, context } from '../../server';

/** The Bench as its page shows it, for one that stands open. */
export const GET: APIRoute = ({ url }) => answer(() => benchOf(context(), url.searchParams));
