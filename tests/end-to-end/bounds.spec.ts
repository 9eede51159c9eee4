import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import fc from 'fast-check';
import { DEMO_CUSTOMERS } from '../../src/data/demo';
import type { ShopsView } from '../../src/contract';
import { ACCESS } from '../../src/server/people/access';
import { fromSchema } from '../support/from-schema';
import { TAKES } from '../support/takes';
import { expect, test } from './bench';
import { OwnServer } from './own-server';

const SEED = 1913;
const server = new OwnServer(join(mkdtempSync(join(tmpdir(), 'serrata-bounds-')), 'store.db'), {
  SERRATA_MOST_REQUESTS: '0',
});
test.beforeAll(() => server.open());
test.afterAll(() => server.end('SIGKILL'));

type Row = Readonly<Record<string, unknown>>;

async function inStore(sql: string): Promise<readonly Row[]> {
  const client = createClient({ url: `file:${server.store}` });
  try {
    return (await client.execute(sql)).rows as unknown as readonly Row[];
  } finally {
    client.close();
  }
}

/** What goes on by itself, is of no shop, or tells whoever listens. */
const OF_NOBODY = new Set(['changed', 'search', 'shop', 'sqlite_sequence', '__drizzle_migrations', 'chain_link']);

/** Every row of the store that is of somebody, by its table. */
async function everything(): Promise<ReadonlyMap<string, readonly Row[]>> {
  const tables = await inStore(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT GLOB 'search_[cdi]*' AND name NOT GLOB 'sqlite_*'",
  );
  const names = tables.map(({ name }) => String(name)).filter((name) => !OF_NOBODY.has(name));
  const rowsOf = async (name: string) => {
    const rows = await inStore(`SELECT * FROM "${name}" ORDER BY rowid`);
    // That all records were gone through is noted of the store, whoever had it done.
    return rows.filter(({ key }) => key !== 'records.checked');
  };
  return new Map(await Promise.all(names.map(async (name) => [name, await rowsOf(name)] as const)));
}

/** Ids of all kinds of things of the first shop. */
async function idsOfFirst(): Promise<readonly string[]> {
  const some = async (sql: string) => (await inStore(sql)).map((row) => String(Object.values(row)[0]));
  const lists = await Promise.all([
    some("SELECT id FROM job WHERE state = 'open' LIMIT 1"),
    some("SELECT id FROM job WHERE state = 'handed-over' LIMIT 1"),
    some('SELECT id FROM saw LIMIT 1'),
    some('SELECT id FROM customer LIMIT 1'),
    some('SELECT id FROM person LIMIT 1'),
    some('SELECT sku FROM stock_part WHERE quantity > 0 LIMIT 1'),
    some('SELECT id FROM saw_model LIMIT 1'),
    some('SELECT id FROM hand_study LIMIT 1'),
    some('SELECT id FROM gear_change LIMIT 1'),
    some('SELECT id FROM hand_over LIMIT 1'),
    some('SELECT code FROM learned_code LIMIT 1'),
    some("SELECT 'bar.' || id FROM job WHERE saw_id IS NOT NULL LIMIT 1"),
  ]);
  return lists.flat();
}

/** A body with every id in it one of the first shop's. */
function about(ids: readonly string[], pick: () => number, body: unknown): unknown {
  if (Array.isArray(body)) return body.map((each) => about(ids, pick, each));
  if (typeof body !== 'object' || body === null) return body;
  return Object.fromEntries(
    Object.entries(body).map(([key, value]) =>
      typeof value === 'string' && /^(id|sku|piece|model|from|into|jobId|code)$|(Id|saw|job|customer)$/.test(key)
        ? [key, ids[pick() % ids.length]]
        : [key, about(ids, pick, value)],
    ),
  );
}

/** Leaves the shop, or is no address of it. */
const LEFT_ALONE = new Set(['/404', '/500', '/api/live', '/api/session', '/api/set-up/leave-demo']);

test('whatever one shop asks for and sends, with the very ids of another, it finds nothing of it and changes nothing there', async () => {
  test.setTimeout(300_000);
  const json = { 'Content-Type': 'application/json' };
  const first = (path: string, method: string, body: unknown) =>
    fetch(`${server.address}${path}`, { method, headers: json, body: JSON.stringify(body) });
  await first('/api/shops/sharing', 'PUT', { sharesGear: false });
  const added = await first('/api/shops', 'POST', { name: 'Lower Lock', owner: 'Wren Ashby', sharesGear: false });
  const { shops } = (await added.json()) as ShopsView;
  const shop = shops.at(-1)!.id;
  const shows = { Cookie: `serrata-shop=${shop}` };
  const ids = await idsOfFirst();
  // What looking at the Bench brings up to date is so before.
  await fetch(`${server.address}/api/bench`);
  let stood = '';
  await expect
    .poll(async () => {
      const was = stood;
      stood = JSON.stringify(await inStore('SELECT id, summary_key FROM job ORDER BY id'));
      return stood === was;
    })
    .toBe(true);
  const before = await everything();

  const found: string[] = [];
  const names = DEMO_CUSTOMERS.map(({ name }) => name);
  const asked = async (path: string, method: string, body?: unknown) => {
    const sent = body === undefined ? {} : { body: JSON.stringify(body) };
    const headers = { ...shows, ...(body === undefined ? {} : json) };
    const answer = await fetch(`${server.address}${path}`, { method, headers, ...sent, redirect: 'manual' });
    const text = await answer.text();
    if (names.some((name) => text.includes(name))) found.push(`${method} ${path} tells of a customer`);
    if (answer.status >= 500 && !path.startsWith('/simulated/')) found.push(`${method} ${path}: ${answer.status}`);
    return answer.status;
  };
  for (const [route, methods] of Object.entries(ACCESS))
    for (const method of Object.keys(methods)) {
      if (LEFT_ALONE.has(route) || route.endsWith('/stream')) continue;
      const named = route.includes('[') ? ids : ids.slice(0, 1);
      for (const id of named) {
        const path = route.replace('[paper]', 'customer').replace(/\[\w+\]/g, () => encodeURIComponent(id));
        const status = await asked(path, method, method === 'POST' || method === 'PUT' ? {} : undefined);
        if (method === 'GET' && route.includes('[') && status < 300 && !route.includes('/models/'))
          found.push(`${path} is let in: ${status}`);
      }
    }
  let count = 0;
  const pick = () => (count += 1);
  for (const [method, route, schema] of TAKES)
    for (const body of fc.sample(fromSchema(schema), { numRuns: 12, seed: SEED })) {
      const path = route.replaceAll(/:any|:job/g, () => encodeURIComponent(ids[pick() % ids.length]!));
      await asked(path, method, about(ids, pick, body) ?? null);
    }
  expect(found).toEqual([]);

  const after = await everything();
  for (const [table, rows] of before) {
    const now = new Set(after.get(table)!.map((row) => JSON.stringify(row)));
    const gone = rows.filter((row) => !now.has(JSON.stringify(row)));
    expect(gone, `rows of ${table} that are not as they were`).toEqual([]);
  }
  const theirs = new Set(before.get('job')!.map(({ id }) => id));
  for (const [table, rows] of after) {
    const stood = new Set(before.get(table)!.map((row) => JSON.stringify(row)));
    for (const row of rows.filter((each) => !stood.has(JSON.stringify(each)))) {
      if ('shop_id' in row) expect(row.shop_id, `${table}: ${JSON.stringify(row)}`).toBe(shop);
      else expect(theirs.has(row.job_id as string), `${table}: ${JSON.stringify(row)}`).toBe(false);
    }
  }
});
