import type { APIRoute } from 'astro';
import { takeInSawsSchema } from '../../../contract';
import { answer, body, context, takeInSaws } from '../../../server';

/** Takes in a list of saws, or tells what it would do. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => takeInSaws(context(), await body(request, takeInSawsSchema)));
