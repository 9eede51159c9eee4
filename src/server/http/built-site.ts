import { existsSync, readdirSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import pLimit from 'p-limit';
import { letOthers } from '../../data/turn';
import { stillFiles, type Handler } from './still-files';
import * as texts from '#language/server';

const built = (path: string): string => fileURLToPath(new URL(`../${path}`, import.meta.url));

/** Pages that are drawn at once; the others wait for their turn, first come, first served. */
const PAGES_AT_ONCE = 2;
/** A page that somebody reads slowly gives its turn away after this long, ms. */
const LONGEST_TURN = 3000;

const isPage = ({ method, url = '' }: IncomingMessage): boolean =>
  (method === 'GET' || method === 'HEAD') && !/^\/(api|simulated)\//.test(url);

/**
 * Draws pages in turn. Drawing takes the loop's whole attention: with fifty pages under way at once, nobody else is
 * heard before each of them has come a step further, and one new caller is let in at each such step.
 */
function pagesInTurn(handler: Handler): (request: IncomingMessage, response: ServerResponse) => void {
  const turns = pLimit(PAGES_AT_ONCE);
  return (request, response) => {
    if (!isPage(request)) return void handler(request, response);
    void turns(async () => {
      if (response.destroyed) return;
      let timer: NodeJS.Timeout | undefined;
      const longest = new Promise((resolve) => (timer = setTimeout(resolve, LONGEST_TURN)));
      await Promise.race([handler(request, response), longest]);
      clearTimeout(timer);
    });
  };
}

/**
 * Draws in all that answers, a file a turn: left to the first who asks, each is drawn in while everybody waits, and a
 * page takes a second.
 */
export async function drawAllIn(): Promise<void> {
  const folder = built('server/pages');
  for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
    if (!name.endsWith('.mjs')) continue;
    await letOthers();
    await import(pathToFileURL(join(folder, name)).href);
  }
}

/** Everything that was built: files as they are, and pages and answers that are made. */
export async function builtSite(): Promise<(request: IncomingMessage, response: ServerResponse) => void> {
  const entry = built('server/entry.mjs');
  if (!existsSync(entry)) throw new Error(texts.notBuilt);
  // Without this React renders with its development checks, several times slower.
  process.env.NODE_ENV ??= 'production';
  const { handler } = (await import(pathToFileURL(entry).href)) as { handler: Handler };
  const files = stillFiles(built('client'));
  const inTurn = pagesInTurn(handler);
  // Given nowhere to go on to, the pages answer what is not there with a page of their own.
  return (request, response) => files(request, response, () => inTurn(request, response));
}
