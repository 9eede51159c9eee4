import type { APIRoute } from 'astro';
import { answer, context, jobView } from '../../../../server';

export const GET: APIRoute = ({ params }) => answer(() => jobView(context(), params.id ?? ''));
