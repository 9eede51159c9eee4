import type { APIRoute } from 'astro';
import { answer, assessedJob, context } from '../../../../server';

export const GET: APIRoute = ({ params }) => answer(() => assessedJob(context(), params.id ?? ''));
