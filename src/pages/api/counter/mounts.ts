import type { APIRoute } from 'astro';
import { answer, context, mountsKnown } from '../../../server';

export const GET: APIRoute = () => answer(() => mountsKnown(context()));
