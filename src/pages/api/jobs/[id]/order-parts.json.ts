import type { APIRoute } from 'astro';
import { answer, context, jobOrderedParts } from '../../../../server';

export const GET: APIRoute = ({ params }) => answer(() => jobOrderedParts(context(), params.id ?? ''));
