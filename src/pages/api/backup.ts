import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import type { APIRoute } from 'astro';
import { backupToSend, context } from '../../server';

/** The whole store as one file, to be kept somewhere else. */
export const GET: APIRoute = async () => {
  const { file, done } = await backupToSend();
  const stream = createReadStream(file);
  stream.once('close', done);
  const day = context().now().toISOString().slice(0, 10);
  return new Response(Readable.toWeb(stream) as ReadableStream, {
    headers: {
      'Content-Type': 'application/octet-stream',
      'Content-Length': String(statSync(file).size),
      'Content-Disposition': `attachment; filename="serrata-${day}.db"`,
    },
  });
};
