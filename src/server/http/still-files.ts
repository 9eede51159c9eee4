import { existsSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import sirv from 'sirv';
import { SAFETY_HEADERS } from './guard';

/** Answers what it has, and leaves all else to who comes next. */
export type Handler = (request: IncomingMessage, response: ServerResponse, next?: (error?: unknown) => void) => unknown;

/** Files whose names change with their content may be kept for ever. */
const isHashed = (path: string): boolean => path.startsWith('/_astro/');

/** The path that is asked for; none that cannot be read is a file. */
function pathOf({ url = '/' }: IncomingMessage): string | null {
  try {
    return decodeURIComponent(new URL(url, 'http://here').pathname);
  } catch {
    return null;
  }
}

/**
 * Files as they were built, as a folder has them at the start. What a newer build has taken away since is not there:
 * opened all the same, it would end the whole server.
 */
export function stillFiles(folder: string): Handler {
  const known = sirv(folder, {
    etag: true,
    gzip: true,
    brotli: true,
    setHeaders: (response, path) => {
      for (const [name, value] of Object.entries(SAFETY_HEADERS)) response.setHeader(name, value);
      response.setHeader('Cache-Control', isHashed(path) ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  }) as Handler;
  return (request, response, next) => {
    const path = pathOf(request);
    const isThere = path !== null && existsSync(join(folder, path));
    return isThere ? known(request, response, next) : next?.();
  };
}
