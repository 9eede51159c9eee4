import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { stillFiles } from './still-files';

let folder: string;
let server: Server;
let address: string;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'still-'));
  mkdirSync(join(folder, '_astro'));
  for (const name of ['_astro/page.js', '_astro/page.js.br', 'favicon.svg']) writeFileSync(join(folder, name), name);
  const files = stillFiles(folder);
  server = createServer((request, response) =>
    files(request, response, () => {
      response.statusCode = 404;
      response.end('not here');
    }),
  );
  await new Promise<void>((open) => void server.listen(0, '127.0.0.1', open));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(() => {
  server.close();
  rmSync(folder, { recursive: true });
});

const asked = async (path: string, accept = 'identity') => {
  const answer = await fetch(address + path, { headers: { 'accept-encoding': accept } });
  return { status: answer.status, text: await answer.text(), kept: answer.headers.get('cache-control') };
};

describe('files as they were built', () => {
  it('are kept for ever where their name changes with them, and asked for again where it does not', async () => {
    expect(await asked('/_astro/page.js')).toMatchObject({ status: 200, kept: expect.stringContaining('immutable') });
    expect(await asked('/favicon.svg')).toMatchObject({ status: 200, kept: 'no-cache' });
    expect(await asked('/none.js')).toMatchObject({ status: 404, text: 'not here' });
  });

  it('that a newer build has taken away are not there, and the server goes on', async () => {
    rmSync(join(folder, '_astro'), { recursive: true });
    for (const accept of ['identity', 'br']) expect((await asked('/_astro/page.js', accept)).status).toBe(404);
    expect((await asked('/favicon.svg')).status).toBe(200);
    rmSync(join(folder, 'favicon.svg'));
    expect((await asked('/favicon.svg')).status).toBe(404);
  });

  it('are nothing under an address that cannot be read', async () => {
    expect((await asked('/_astro/%E0%A4%A')).status).toBe(404);
  });
});
