import type { APIRoute } from 'astro';
import { answer, context, jobParts } from '../../../../server';

/** Parts of the signed plan, and how each stands. */
export const GET: APIRoute = ({ params }) => answer(() => jobParts(context(), params.id ?? ''));
