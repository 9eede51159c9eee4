import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import type { APIRoute } from 'astro';
import { backupToSend, context, errorReply, Refusal } from '../../server';

/** The whole store as one file, to be kept somewhere else. It is asked for as a change is, so that no foreign page can have one made. */
export const POST: APIRoute = async () => {
  const made = await backupToSend().catch((error: unknown) => {
    if (error instanceof Refusal) return error;
    throw error;
  });
  if (made instanceof Refusal) return errorReply(made.status, made);
  const stream = createReadStream(made.file);
  stream.once('close', made.done);
  const day = context().now().toISOString().slice(0, 10);
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      'Content-Type': 'application/octet-stream',
      'Content-Length': String(statSync(made.file).size),
      'Content-Disposition': `attachment; filename="serrata-${day}.db"`,
    },
  });
};
