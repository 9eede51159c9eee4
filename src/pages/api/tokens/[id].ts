import type { APIRoute } from 'astro';
import { answer, context, takeTokenBack } from '../../../server';

/** Revokes a token. */
export const DELETE: APIRoute = ({ params }) => answer(() => takeTokenBack(context(), params.id ?? ''));
