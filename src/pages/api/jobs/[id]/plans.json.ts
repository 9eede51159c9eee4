import type { APIRoute } from 'astro';
import { answer, context, jobPlans } from '../../../../server';

export const GET: APIRoute = ({ params }) => answer(() => jobPlans(context(), params.id ?? ''));
