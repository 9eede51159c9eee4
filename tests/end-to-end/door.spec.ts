import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { Agent, request as nodeRequest } from 'node:http';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { address, expect, test } from './bench';
import fc from 'fast-check';
import { fromSchema, strange } from '../support/from-schema';
import { ASKED, TAKES, WORDS } from '../support/takes';
import { OwnServer } from './own-server';

const SEED = 1959;
/** Anything the server is asked takes less than this, ms. */
const LONGEST = 2000;

interface Sent {
  readonly method?: string;
  readonly path: string;
  readonly headers?: Record<string, string>;
  readonly body?: Buffer | string;
}

interface Heard {
  readonly status: number;
  readonly text: string;
}

/** What the plainest answer takes at most on a machine that is not stalled, ms: a hundred times the usual. */
const UNSTALLED = 200;

/** Sends; where nothing came back in time it is sent once more, since a machine may stall and a hang comes again. */
const send = (sent: Sent): Promise<Heard> => sendOnce(sent).catch(async () => sendOnce(sent, await patience()));

/** How long to wait for what came late: as long as ever, unless the plainest answer comes late too. */
async function patience(): Promise<number> {
  const asked = performance.now();
  await sendOnce({ path: '/api/health' }, 10 * LONGEST);
  return performance.now() - asked < UNSTALLED ? LONGEST : 10 * LONGEST;
}

/** A request as it is, with whatever Host and method one likes: no browser and no library in between. */
function sendOnce({ method = 'GET', path, headers = {}, body }: Sent, timeout = LONGEST): Promise<Heard> {
  return new Promise((resolve, reject) => {
    const length = body === undefined ? {} : { 'Content-Length': String(Buffer.byteLength(body)) };
    const sent = nodeRequest(
      { host: '127.0.0.1', port: new URL(address()).port, method, path, headers: { ...length, ...headers }, timeout },
      (response) => {
        let text = '';
        response.setEncoding('utf8');
        response.on('data', (part: string) => (text += part));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, text }));
      },
    );
    sent.on('timeout', () => sent.destroy(new Error(`no answer within ${timeout} ms`)));
    sent.on('error', reject);
    sent.end(body);
  });
}

const asJson = (path: string, body: unknown, headers: Record<string, string> = {}, method = 'POST'): Promise<Heard> =>
  send({ method, path, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json', ...headers } });

const newJob = { by: 'Tam', customer: { name: 'Door' }, saw: null, complaint: '', promisedFor: null };

async function aJob(): Promise<string> {
  return (JSON.parse((await asJson('/api/jobs', newJob)).text) as { id: string }).id;
}

test('only the names the shop runs under are answered', async () => {
  const { host: own, port } = new URL(address());
  for (const host of [own, `localhost:${port}`, 'LOCALHOST'])
    expect((await send({ path: '/api/health', headers: { Host: host } })).status, host).toBe(200);
  for (const host of ['evil.example:4391', '127.0.0.1.evil.example', 'evil.example', '127.0.0.1:4391@evil', '[::2]']) {
    const read = await send({ path: '/api/search?q=Tow', headers: { Host: host } });
    expect(read.status, host).toBe(421);
    expect(read.text).not.toContain('Towpath');
    const write = await asJson('/api/people', { name: 'Nobody' }, { Host: host, Origin: `http://${host}` });
    expect(write.status, host).toBe(421);
  }
  expect((await send({ path: '/favicon.svg', headers: { Host: 'evil.example' } })).status).toBe(421);
  expect((await send({ path: '/shop' })).text).not.toContain('Nobody');
});

test('an origin that contradicts what a browser says of the site is foreign', async () => {
  const foreign = [
    { 'sec-fetch-site': 'same-origin', Origin: 'http://evil.example' },
    { 'sec-fetch-site': 'cross-site', Origin: address() },
    { 'sec-fetch-site': 'same-site' },
    { Origin: 'null' },
    { Origin: 'http://127.0.0.1:4399' },
  ];
  for (const headers of foreign)
    expect((await asJson('/api/people', { name: 'Nobody' }, headers)).status, JSON.stringify(headers)).toBe(403);
  const own = { 'sec-fetch-site': 'same-origin', Origin: address() };
  expect((await asJson('/api/jobs', newJob, own)).status).toBe(200);
});

test('bytes that are no picture are refused at once, whatever reader they were made for', async () => {
  const job = await aJob();
  const crafted = [
    Buffer.concat([Buffer.from('icns'), Buffer.from([0, 0, 0, 16]), Buffer.from('ICON'), Buffer.alloc(4)]),
    Buffer.concat([Buffer.from([0, 0, 0, 16]), Buffer.from('ftypheic'), Buffer.alloc(56)]),
    Buffer.concat([Buffer.from([0, 0, 0, 12]), Buffer.from('jP  \r\n\x87\n', 'latin1'), Buffer.alloc(32)]),
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 0]),
    Buffer.alloc(3_900_000, Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 2])),
    Buffer.alloc(0),
  ];
  for (const body of crafted) {
    const heard = await send({
      method: 'POST',
      path: `/api/jobs/${job}/photos?by=x`,
      body,
      headers: { 'Content-Type': 'image/png' },
    });
    expect(heard.status).toBe(415);
    expect((await send({ path: '/api/health' })).status).toBe(200);
  }
});

test('what was once answered with a fault of ours is answered', async () => {
  for (const page of ['1e300', '-1e300', 'Infinity', 'NaN', '9007199254740993', '0.5', '']) {
    expect((await send({ path: `/?page=${page}` })).status, page).toBe(200);
    expect((await send({ path: `/gear/customers/c-towpath?page=${page}` })).status, page).toBe(200);
    for (const rows of ['/api/stock/rows', '/api/gear/saws/rows', '/api/gear/customers/rows', '/api/gear/models/rows'])
      expect((await send({ path: `${rows}?from=${page}` })).status, page).toBe(200);
  }
  for (const path of [
    '/_image',
    '//_image',
    '/./_image',
    '/%5fimage',
    '///_image/',
    '/_server-islands/Page',
    '/_actions/any',
  ])
    expect((await send({ path: `${path}?href=/favicon.svg&f=png` })).status, path).toBe(404);
  expect((await send({ method: 'TRACE', path: '/' })).status).toBe(405);
  for (const [open, close] of [
    ['{"bar":', '}'],
    ['{"a":', '}'],
    ['[', ']'],
  ] as const)
    for (const into of ['"sheet":', '"customer":', '"saw":']) {
      const deep = `${open.repeat(5000)}1${close.repeat(5000)}`;
      const body = `${JSON.stringify(newJob).slice(0, -1)},${into}${deep}}`;
      const nested = await send({
        method: 'POST',
        path: '/api/jobs',
        body,
        headers: { 'Content-Type': 'application/json' },
      });
      expect(nested.status, `${into}${open}`).toBe(422);
    }
  for (const path of ['/', '/shop', '/api/search?q=x']) {
    const response = await fetch(`${address()}${path}`);
    expect(response.headers.get('cache-control'), path).toBe('no-store');
  }
});

test('files that never change say what they are too, and a stream that is only asked after begins nothing', async () => {
  const page = await send({ path: '/' });
  const [asset] = /\/_astro\/[^"]+\.(js|css)/.exec(page.text)!;
  for (const path of ['/favicon.svg', asset, '/', '/api/health', '/nowhere']) {
    const { headers } = await fetch(`${address()}${path}`);
    expect(headers.get('x-content-type-options'), path).toBe('nosniff');
    expect(headers.get('x-frame-options'), path).toBe('DENY');
  }
  expect((await fetch(`${address()}${asset}`)).headers.get('cache-control')).toContain('immutable');
  // More than the caliper lets listen at once: none of them holds on to anything.
  for (let i = 0; i < 60; i += 1)
    expect((await send({ method: 'HEAD', path: '/simulated/caliper/stream' })).status).toBe(200);
  const heard = await fetch(`${address()}/simulated/caliper/stream`);
  expect(heard.status).toBe(200);
  await heard.body?.cancel();
  const beyond = await Promise.all(Array.from({ length: 45 }, () => fetch(`${address()}/simulated/caliper/stream`)));
  expect(beyond.map(({ status }) => status).filter((status) => status === 503).length).toBeGreaterThan(0);
  await Promise.all(beyond.map((stream) => stream.body?.cancel()));
});

interface Answered extends Heard {
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}

/** Asks by one connection, as one tab of a browser does. */
function oneConnection() {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  return ({ body, ...sent }: Sent & { port: string }): Promise<Answered> =>
    new Promise((resolve, reject) => {
      const length = body === undefined ? {} : { 'Content-Type': 'application/json', 'Content-Length': body.length };
      const asked = nodeRequest({ host: '127.0.0.1', agent, headers: length, ...sent }, (response) => {
        let text = '';
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, text, headers: response.headers }));
      });
      asked.on('error', reject);
      asked.end(body);
    });
}

test('one client that asks without end is told to wait, and nobody is let in by another door', async () => {
  const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-pace-')), 'store.db'), {
    SERRATA_MOST_REQUESTS: '20',
  });
  await server.open();
  const [busy, neighbour, changing] = [oneConnection(), oneConnection(), oneConnection()];
  const health = { path: '/api/health', port: new URL(server.address).port };
  const answers: Answered[] = [];
  while (answers.at(-1)?.status !== 429) answers.push(await busy(health));
  // More of them where the machine takes so long that another span has begun.
  expect(answers.length).toBeGreaterThan(20);
  expect(answers.at(-1)!.headers['retry-after']).toBe('10');
  expect(JSON.parse(answers.at(-1)!.text)).toMatchObject({ code: 'too-many-requests' });
  // Somebody else on the same machine has a share of their own.
  expect((await neighbour(health)).status).toBe(200);
  // What changes something has a bound of its own, and a narrower one.
  const forget = { ...health, method: 'POST', path: '/api/codes/forget', body: JSON.stringify({ code: 'none' }) };
  const changes: number[] = [];
  while (changes.at(-1) !== 429) changes.push((await changing(forget)).status);
  expect(changes.length).toBeGreaterThan(3);
  expect(changes.length).toBeLessThan(20);
  // All connections of a machine have a bound together, though none of them asks for more than its share. They are so
  // many that one span of ten seconds holds more than the bound, wherever it begins.
  const many = await Promise.all(
    Array.from({ length: 60 }, async () => {
      const one = oneConnection();
      const statuses: number[] = [];
      for (let k = 0; k < 16; k += 1) statuses.push((await one(health)).status);
      return statuses;
    }),
  );
  expect(new Set(many.flat())).toEqual(new Set([200, 429]));
  await server.end('SIGKILL');
  // The built pages by themselves listen to nobody.
  const { status, stdout } = spawnSync(process.execPath, ['dist/server/entry.mjs'], {
    env: { ...process.env, HOST: '0.0.0.0', PORT: '4999' },
    encoding: 'utf8',
    timeout: 60_000,
  });
  expect({ status, stdout }).toEqual({ status: 0, stdout: '' });
  // And whatever else serves them is refused at an address that others can reach.
  const served = `import('${pathToFileURL('dist/server/_astro-internal_middleware.mjs').href}').then(() => console.log('served'))`;
  const other = spawnSync(process.execPath, ['--input-type=module', '-e', served], {
    env: { ...process.env, HOST: '0.0.0.0' },
    encoding: 'utf8',
    timeout: 60_000,
  });
  expect(other.stdout).toBe('');
  expect(other.stderr).toContain('would open Serrata to the network');
});

test('more long work than can wait is refused with a sentence, and once nobody asks any more there is room', async () => {
  const asking = new AbortController();
  const preview = {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ value: '9000' }),
    signal: asking.signal,
  };
  const answers = Array.from({ length: 140 }, async () => {
    const answer = await fetch(`${address()}/api/limits/plan.labour/preview`, preview);
    return answer.status === 200 ? Promise.reject(new Error('was answered')) : [answer.status, await answer.json()];
  });
  expect(await Promise.any(answers)).toMatchObject([503, { code: 'busy' }]);
  // What waits for nobody is left.
  asking.abort();
  await Promise.allSettled(answers);
  await expect.poll(async () => (await sendOnce({ path: '/api/stock/list.csv' }, 60_000)).status).toBe(200);
});

test('requests that are sent one upon the other by one connection keep nobody else waiting', async () => {
  const { port } = new URL(address());
  const flood = connect(Number(port), '127.0.0.1');
  flood.on('error', () => undefined).resume();
  const ended = new Promise((resolve) => flood.once('close', resolve));
  flood.write('GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n'.repeat(2000));
  expect((await send({ path: '/api/health' })).status).toBe(200);
  await ended;
  expect((await send({ path: '/' })).status).toBe(200);
});

test('a picture that unfolds to hundreds of megabytes, and a job without end, are refused with a sentence', async () => {
  const job = await aJob();
  const png = Buffer.alloc(64);
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13]).copy(png);
  png.write('IHDR', 12, 'latin1');
  png.writeUInt32BE(8000, 16);
  png.writeUInt32BE(8000, 20);
  const picture = await fetch(`${address()}/api/jobs/${job}/photos?by=Ines`, {
    method: 'POST',
    headers: { 'Content-Type': 'image/png' },
    body: png,
  });
  expect(picture.status).toBe(413);
  expect(await picture.json()).toMatchObject({ message: expect.stringContaining('64 million pixels') });
  let last = 200;
  for (let i = 0; i < 21 && last === 200; i += 1) {
    const readings = Array.from({ length: 200 }, (_, n) => ({
      ...{ id: crypto.randomUUID(), path: `bar.many.${i}.${n}`, text: '1', unit: 'mm' },
      ...{ instrument: null, supersedes: null },
    }));
    last = (await asJson(`/api/jobs/${job}/readings`, { by: 'Ines', readings })).status;
  }
  expect(last).toBe(409);
});

test('whatever is sent, nothing answers with a fault of ours, hangs or grows', async () => {
  const job = await aJob();
  const piece = fc.oneof(
    fc.string({ maxLength: 12, unit: 'binary' }),
    fc.constantFrom('bar.bow', '%', '..', '0', '__proto__'),
  );
  const fill = (path: string, any: string) =>
    path.replaceAll(':job', job).replaceAll(':any', () => encodeURIComponent(any.toWellFormed()) || 'x');
  const memory = async () => (JSON.parse((await send({ path: '/api/health' })).text) as { memory: number }).memory;
  const before = await memory();
  for (const [method, path, schema] of TAKES)
    await fc.assert(
      fc.asyncProperty(
        fc.oneof({ weight: 8, arbitrary: fromSchema(schema) }, { weight: 1, arbitrary: strange }),
        piece,
        async (body, any) => {
          const { status, text } = await asJson(fill(path, any), body ?? null, {}, method);
          expect(status, `${method} ${path}: ${text.slice(0, 200)}`).toBeLessThan(500);
        },
      ),
      { seed: SEED, numRuns: 10 },
    );
  // The simulated supplier may have been told to be slow.
  await asJson('/api/supplier/mood', { mood: 'usual' }, {}, 'PUT');
  for (const path of ASKED)
    await fc.assert(
      fc.asyncProperty(fc.dictionary(fc.constantFrom(...WORDS), piece, { maxKeys: 4 }), piece, async (query, any) => {
        const search = new URLSearchParams(
          Object.entries(query).map(([key, value]) => [key, value.toWellFormed()]),
        ).toString();
        const { status, text } = await send({ path: `${fill(path, any)}?${search}` });
        // The simulated supplier's line is dead for some questions, as it is meant to be.
        if (path.startsWith('/simulated/') && status === 502) return;
        expect(status, `${path}?${search}: ${text.slice(0, 200)}`).toBeLessThan(500);
      }),
      { seed: SEED, numRuns: 6 },
    );
  const after = await memory();
  expect(after).toBeGreaterThan(0);
  expect(after - before).toBeLessThan(150);
});
