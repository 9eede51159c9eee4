import type { APIRoute } from 'astro';
import { putBackSchema } from '../../../contract';
import { answer, body, context, putBackupBack } from '../../../server';

/** Puts a backup in the place of the store. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => putBackupBack(context(), (await body(request, putBackSchema)).name));
