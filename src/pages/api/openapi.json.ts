import type { APIRoute } from 'astro';
import { answer, openApi } from '../../server';

/** The interface for other programs, as OpenAPI 3.1. */
export const GET: APIRoute = () => answer(() => Promise.resolve(openApi()));
