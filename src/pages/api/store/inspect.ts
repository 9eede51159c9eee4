import type { APIRoute } from 'astro';
import { answer, tryStore } from '../../../server';

/** Looks the whole store through. */
export const POST: APIRoute = () => answer(() => tryStore());
