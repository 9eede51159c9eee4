import type { APIRoute } from 'astro';
import { answer, context, peopleView } from '../../../server';

/** Everybody who may come in, and with what. */
export const GET: APIRoute = () => answer(() => peopleView(context()));
