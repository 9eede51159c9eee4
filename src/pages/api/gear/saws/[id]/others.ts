import type { APIRoute } from 'astro';
import { answer, context, otherSawsOf } from '../../../../../server';

/** The other saws of the same customer that are in use, to choose from. */
export const GET: APIRoute = ({ params }) => answer(() => otherSawsOf(context(), params.id ?? ''));
