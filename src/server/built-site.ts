import { existsSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { fileURLToPath, pathToFileURL } from 'node:url';
import sirv from 'sirv';
import { SAFETY_HEADERS } from './http/guard';

type Handler = (request: IncomingMessage, response: ServerResponse, next?: (error?: unknown) => void) => void;

const built = (path: string): string => fileURLToPath(new URL(`../../dist/${path}`, import.meta.url));

/** Files whose names change with their content may be kept for ever. */
const isHashed = (path: string): boolean => path.startsWith('/_astro/');

function stillFiles(): Handler {
  return sirv(built('client'), {
    etag: true,
    gzip: true,
    brotli: true,
    setHeaders: (response, path) => {
      for (const [name, value] of Object.entries(SAFETY_HEADERS)) response.setHeader(name, value);
      response.setHeader('Cache-Control', isHashed(path) ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  }) as Handler;
}

/** Everything that was built: files as they are, and pages and answers that are made. */
export async function builtSite(): Promise<(request: IncomingMessage, response: ServerResponse) => void> {
  const entry = built('server/entry.mjs');
  if (!existsSync(entry)) throw new Error('The application is not built yet: run npm run build.');
  // Without this React renders with its development checks, several times slower.
  process.env.NODE_ENV ??= 'production';
  const { handler } = (await import(pathToFileURL(entry).href)) as { handler: Handler };
  const files = stillFiles();
  // Given nowhere to go on to, the pages answer what is not there with a page of their own.
  return (request, response) => files(request, response, () => handler(request, response));
}
