import type { APIRoute } from 'astro';
import { answer, context, reopen } from '../../../../server';

export const POST: APIRoute = ({ params }) => answer(() => reopen(context(), params.id ?? ''));
