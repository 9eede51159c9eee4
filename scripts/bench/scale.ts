import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { get, type IncomingMessage } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { DEMO_SHEETS } from '../../src/data/demo';
import { bringUpToDate } from '../../src/data/migrate';
import { openStore } from '../../src/data/store';
import { LibsqlServer } from '../../tests/support/libsql-server';
import { application } from './answers';
import { fillStore } from './big-store';
import { quantile, type Measured } from './table';

/** What is gone through: jobs in the store, pages that listen, milliseconds to a store on another machine. */
const JOBS = [1000, 20_000, 200_000];
const PAGES = [1, 50, 200];
const DISTANCES = [0, 20, 80];

const ROUNDS = 60;
const WARM_UP = 10;
const WRITES = 30;

const told = (what: string, value: number, unit: string): Measured => ({ what, value, budget: NaN, unit });

const post = (address: string, path: string, body: unknown): Promise<Response> =>
  fetch(`${address}${path}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

async function median(rounds: number, work: () => Promise<Response>): Promise<number> {
  const times: number[] = [];
  for (let i = -WARM_UP; i < rounds; i += 1) {
    const start = performance.now();
    const answer = await work();
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${answer.url} answered ${answer.status}.`);
    if (i >= 0) times.push(performance.now() - start);
  }
  return quantile(times, 0.5);
}

/** Writes one reading, each time another. */
async function writer(address: string): Promise<() => Promise<Response>> {
  const job = { by: 'Tam', customer: { name: 'Scale' }, saw: null, complaint: '', promisedFor: null };
  const { id } = (await (await post(address, '/api/jobs', job)).json()) as { id: string };
  let count = 0;
  return () => {
    count += 1;
    const path = `bar.edges.A.stations.${count}.near`;
    const reading = { id: crypto.randomUUID(), path, text: '8', unit: 'mm', instrument: null, supersedes: null };
    return post(address, `/api/jobs/${id}/readings`, { by: 'Tam', readings: [reading] });
  };
}

const jobPage = async (address: string): Promise<string> => {
  const [hit] = (await (await fetch(`${address}/api/search?q=L-0417`)).json()) as { href: string }[];
  return `${hit!.href}?step=bar`;
};

/** What pages and a reading take at an address. */
async function answers(address: string, where: string): Promise<readonly Measured[]> {
  const paths = {
    Bench: '/',
    'a job': await jobPage(address),
    stock: '/stock',
    'a saw': '/gear/saws/s-brask-66',
    'a search': '/api/search?q=towpath',
  };
  const rows: Measured[] = [];
  for (const [name, path] of Object.entries(paths))
    rows.push(told(`${name}, ${where}`, await median(ROUNDS, () => fetch(`${address}${path}`)), 'ms'));
  rows.push(told(`a reading stored, ${where}`, await median(WRITES, await writer(address)), 'ms'));
  return rows;
}

async function filled(file: string, jobs: number): Promise<void> {
  const store = openStore(`file:${file}`);
  await bringUpToDate(store);
  await fillStore({ store, now: () => new Date(), newId: () => crypto.randomUUID() }, jobs);
  await store.fold();
  store.close();
}

/** A stream that is open; each change that it hears is timed from when it was written. */
const listen = (address: string, writtenAt: () => number, heard: number[]): Promise<IncomingMessage> =>
  new Promise((resolve, reject) => {
    get(`${address}/api/live`, (response) => {
      response.setEncoding('utf8');
      response.on('data', (text: string) => {
        if (text.includes('event: changed')) heard.push(performance.now() - writtenAt());
        if (text.includes('event: hello')) resolve(response);
      });
    }).on('error', reject);
  });

/** When a change is heard by so many pages. */
async function heardBy(address: string, pages: number): Promise<readonly Measured[]> {
  const heard: number[] = [];
  let at = 0;
  const streams = await Promise.all(Array.from({ length: pages }, () => listen(address, () => at, heard)));
  const write = await writer(address);
  heard.length = 0;
  await median(WRITES, () => {
    at = performance.now();
    return write();
  });
  for (const stream of streams) stream.destroy();
  return [told(`a change heard by ${pages} pages, the slowest of a hundred`, quantile(heard, 0.99), 'ms')];
}

const COPIES = 100;

/** Bytes that a job takes: with every reading of a bar dressed on twelve stations, and once it is signed and handed over. */
async function bytes(file: string): Promise<readonly Measured[]> {
  const { address, stop } = await application(file);
  const sizeOf = async () => {
    const store = openStore(`file:${file}`);
    await store.fold();
    const [row] = await store.whole.db.all<{ bytes: number }>(
      sql`SELECT (SELECT page_count FROM pragma_page_count) * (SELECT page_size FROM pragma_page_size) AS bytes`,
    );
    store.close();
    return row!.bytes;
  };
  const before = await sizeOf();
  const sheet = DEMO_SHEETS['L-0417'];
  const job = { by: 'Tam', customer: { name: 'Bytes' }, saw: null, complaint: 'cuts to the left', promisedFor: null };
  for (let i = 0; i < COPIES; i += 1) await post(address, '/api/jobs', { ...job, sheet });
  const each = ((await sizeOf()) - before) / COPIES;
  const store = openStore(`file:${file}`);
  const [signed] = await store.whole.db.all<{ bytes: number }>(
    sql`SELECT (SELECT avg(length(sheet) + length(limits) + length(assessment) + length(coalesce(plan, ''))) FROM sign_off)
      + coalesce((SELECT avg(length(document) + length(coalesce(papers, ''))) FROM hand_over), 0) AS bytes`,
  );
  store.close();
  await stop();
  return [
    told('a job with its readings and their links', each / 1024, 'KiB'),
    told('its sign-off and hand-over', signed!.bytes / 1024, 'KiB'),
  ];
}

/** How far it goes: what grows with jobs, with pages that listen, and with the distance to the store. */
export async function scale(): Promise<Measured[]> {
  const folder = mkdtempSync(join(tmpdir(), 'serrata-scale-'));
  const rows: Measured[] = [];
  const take = (more: readonly Measured[]) => {
    rows.push(...more);
    // It takes long: what was measured is told at once.
    for (const { what, value, unit } of more) console.error(`${what}: ${value.toFixed(1)} ${unit}`);
  };
  const measured = async (store: string, measure: (address: string) => Promise<readonly Measured[]>) => {
    const server = await application(store);
    try {
      take(await measure(server.address));
    } finally {
      await server.stop();
    }
  };
  try {
    for (const jobs of JOBS) {
      const file = join(folder, `${jobs}.db`);
      await filled(file, jobs);
      take([told(`file, ${jobs} bare jobs`, statSync(file).size / 1024 ** 2, 'MiB')]);
      await measured(file, (address) => answers(address, `${jobs} jobs`));
    }
    const small = join(folder, '1000.db');
    for (const pages of PAGES) await measured(small, (address) => heardBy(address, pages));
    for (const distance of DISTANCES) {
      const far = await LibsqlServer.open(small);
      far.latency = distance;
      await measured(far.url, (address) => answers(address, `store ${distance} ms away`));
      await far.close();
    }
    take(await bytes(small));
  } finally {
    rmSync(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 200 });
  }
  return rows;
}
