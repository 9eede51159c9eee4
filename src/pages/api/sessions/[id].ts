import type { APIRoute } from 'astro';
import { answer, context, revokeSession } from '../../../server';

/** Signs a browser out, wherever it is. */
export const DELETE: APIRoute = ({ params }) => answer(() => revokeSession(context(), params.id ?? ''));
