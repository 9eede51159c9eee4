import type { APIRoute } from 'astro';
import { answer, auditAsked, auditView, context } from '../../../server';

/** Who did what, the newest first. */
export const GET: APIRoute = ({ url }) => answer(() => auditView(context(), auditAsked(url.searchParams)));
