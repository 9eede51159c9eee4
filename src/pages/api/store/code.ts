import type { APIRoute } from 'astro';
import { findCodeSchema } from '../../../contract';
import { answer, body, context, recordOfCode } from '../../../server';

/** The record that a code from a paper names. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => recordOfCode(context(), (await body(request, findCodeSchema)).code));
