import type { ReadableStream as WebStream } from 'node:stream/web';
import type { APIRoute } from 'astro';
import { answer, bringBackup, context } from '../../../server';

/** Takes in a backup that was kept elsewhere. */
export const POST: APIRoute = ({ request }) =>
  answer(() => bringBackup(context(), request.body as unknown as WebStream | null));
