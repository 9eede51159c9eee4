import type { APIRoute } from 'astro';
import { answer, context, verifyNow } from '../../../server';

/** Goes through all records that never change. */
export const POST: APIRoute = () => answer(() => verifyNow(context()));
