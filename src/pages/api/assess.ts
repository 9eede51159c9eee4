import type { APIRoute } from 'astro';
import { z } from 'zod';
import { answer, assessSheet, body, context } from '../../server';

/** Assesses a bench sheet, and stores nothing: what is wrong with it is said place by place. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => assessSheet(context(), await body(request, z.unknown())));
