import type { APIRoute } from 'astro';
import { answer, context, driftFactorFor } from '../../../../server';

export const GET: APIRoute = ({ params }) => answer(() => driftFactorFor(context(), params.id ?? ''));
