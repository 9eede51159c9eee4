import type { APIRoute } from 'astro';
import { answer, context, health } from '../../server';

/** How the store and its disk are. It answers whatever is the matter: the trouble is in the answer. */
export const GET: APIRoute = () => answer(() => health(context()));
