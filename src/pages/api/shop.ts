import type { APIRoute } from 'astro';
import { answer, context, shopPage } from '../../server';

/** The shop page's view, for a page that stands open. */
export const GET: APIRoute = () => answer(() => shopPage(context()));
