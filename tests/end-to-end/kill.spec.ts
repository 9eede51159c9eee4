import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { expect, test } from './bench';
import { listBackups } from '../../src/data/keeping/backups';
import { inStore, verifyChain } from '../../src/data/chain/verify';
import { inspectStore } from '../../src/data/keeping/inspect';
import { OwnServer } from './own-server';

/** The plug is pulled so many times: a few here, more by `npm run kill`. */
/** What is under way when it is pulled, in turn. */
const DURING = ['writes', 'import', 'writes', 'undo', 'backup', 'migration', 'restore'] as const;
const ROUNDS = Number(process.env.SERRATA_KILL_ROUNDS ?? DURING.length);
type During = (typeof DURING)[number];

const folder = mkdtempSync(join(tmpdir(), 'serrata-kill-'));
const server = new OwnServer(join(folder, 'store.db'), { SERRATA_MOST_REQUESTS: '0' });
const other = new OwnServer(join(folder, 'other', 'store.db'), { SERRATA_MOST_REQUESTS: '0' });
test.afterAll(async () => {
  await server.end('SIGKILL');
  await other.end('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

/** Repeatable chance. */
let seed = 20_261_126;
function chance(): number {
  seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31;
  return seed / 2 ** 31;
}
const someMs = (from: number, to: number): number => from + chance() * (to - from);
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Does something again and again until the server no longer answers. */
async function untilPulled(work: () => Promise<unknown>): Promise<void> {
  for (;;) {
    try {
      await work();
    } catch (error) {
      // An answer that refuses is no pulled plug.
      if (error instanceof TypeError) return;
      throw error;
    }
  }
}

/**
 * Pulls the plug some time after something has begun, and opens again.
 * @param isUnderWay from then on the time counts: a server that has just started may take its time
 */
async function pulledDuring(begun: Promise<unknown>, ms: number, isUnderWay = () => true): Promise<void> {
  await expect.poll(isUnderWay, { intervals: [10] }).toBe(true);
  await wait(ms);
  await server.end('SIGKILL');
  await begun;
  await server.open();
}

/** What the server has acknowledged, to be found in the store ever after. */
const acknowledged = new Map<string, string>();
let taken = 0;
let job = '';
const BOOKED = 1_000_000;
const SKU = 'LD-3250-72';

interface JobReply {
  readonly readings: readonly { readonly path: string; readonly text: string }[];
}
const readings = async () => (await server.ask<JobReply>(`/api/jobs/${job}`)).readings;

async function write(): Promise<void> {
  const path = `bar.kill.${crypto.randomUUID().slice(0, 12)}`;
  const text = String(acknowledged.size);
  const reading = { id: crypto.randomUUID(), path, text, unit: 'mm', instrument: null, supersedes: null };
  await server.ask(`/api/jobs/${job}/readings`, { by: 'Tam', readings: [reading] });
  acknowledged.set(path, text);
}

async function take(): Promise<void> {
  const move = { id: crypto.randomUUID(), by: 'Ines', kind: 'taken', pieces: 1 };
  await server.ask(`/api/stock/parts/${SKU}`, move);
  taken += 1;
}

/** Takings that were under way when the plug was pulled may be stored or not: of each puller at most one. */
let doubtful = 0;

async function duringWrites(): Promise<void> {
  const [written, took] = [acknowledged.size, taken];
  const both = Promise.all([untilPulled(write), untilPulled(write), untilPulled(take)]);
  await pulledDuring(both, someMs(60, 500), () => acknowledged.size > written && taken > took);
  doubtful += 1;
}

const partOf = (list: string, i: number) => ({
  sku: `${list}-${i}`,
  kind: 'chain',
  name: `Chain ${list} ${i}`,
  ...{ pitch: '325', gauge: '.050', driveLinks: 66, kickbackClass: 'low-kickback', mount: null, oilHole: null },
  ...{ listedInches: null, teeth: null, quantity: 3, minimum: 1, priceCents: 1700 },
});
const batchOf = (list: string, from: number, count: number) => ({
  by: 'Ines',
  name: `${list}.csv`,
  parts: Array.from({ length: count }, (_, i) => partOf(list, from + i)),
});
const found = async (list: string) => (await server.ask<{ total: number }>(`/api/stock?q=${list}`)).total;

async function duringImport(list: string): Promise<void> {
  let brought = 0;
  const bring = async () => {
    await server.ask(`/api/stock/imports/${list}`, batchOf(list, brought, 100));
    brought += 100;
  };
  await pulledDuring(untilPulled(bring), someMs(60, 500), () => brought > 0);
  const stands = await found(list);
  // Whole batches: those that were acknowledged, and perhaps the one that was under way.
  expect([brought, brought + 100]).toContain(stands);
  await server.ask(`/api/stock/imports/${list}/undo`, { by: 'Ines' }).catch(() => undefined);
  expect(await found(list)).toBe(0);
}

async function duringUndo(list: string): Promise<void> {
  for (let i = 0; i < 600; i += 200) await server.ask(`/api/stock/imports/${list}`, batchOf(list, i, 200));
  const undo = () =>
    server.ask<{ restored: number; kept: string[] }>(`/api/stock/imports/${list}/undo`, { by: 'Ines' });
  await pulledDuring(
    undo().catch(() => undefined),
    someMs(5, 250),
  );
  // Gone on with where it was broken off; or it was done, and says so.
  const said = await undo().catch((error: unknown) => error);
  if (!(said instanceof Error)) expect(said).toEqual({ restored: 600, kept: [] });
  else expect(said.message).toContain('has undone it already');
  expect(await found(list)).toBe(0);
}

/** Has a backup made, and carries it away. */
async function saved({ address }: OwnServer): Promise<void> {
  const headers = { 'Content-Type': 'application/json' };
  await (await fetch(`${address}/api/backup`, { method: 'POST', headers, body: '{}' })).arrayBuffer();
}

/** Nothing is wrong with a store, and every record in it is as it was written. */
async function isWhole(file: string): Promise<void> {
  expect(await inspectStore(file), file).toEqual({ state: 'whole' });
  expect(inStore(file, verifyChain).misfits, file).toEqual([]);
}

async function duringBackup(): Promise<void> {
  const making = saved(server).catch(() => undefined);
  await pulledDuring(Promise.all([making, untilPulled(write)]), someMs(50, 700));
  for (const { file } of listBackups(server.store)) await isWhole(file);
}

async function duringMigration(): Promise<void> {
  const old = new URL('../fixtures/stores/0007.db.gz', import.meta.url);
  const file = join(folder, `old-${seed}.db`);
  writeFileSync(file, gunzipSync(readFileSync(old)));
  const migrated = new OwnServer(file);
  await migrated.openBriefly(someMs(350, 1100));
  await migrated.open();
  const bench = await (await fetch(`${migrated.address}/`)).text();
  expect(new Set(bench.match(/\/jobs\/[\da-f-]{36}/g)).size).toBeGreaterThan(8);
  await migrated.end('SIGKILL');
  await isWhole(file);
}

async function duringRestore(): Promise<void> {
  if (!other.isOpen) {
    await other.open();
    await saved(other);
  }
  const people = async () => {
    const { shop } = await other.ask<{ shop: { people: { name: string }[] } }>('/api/shop');
    return shop.people.map(({ name }) => name).sort();
  };
  const backup = listBackups(other.store).find(({ kind }) => kind === 'by-hand')!;
  await other.ask('/api/people', { name: `Later ${seed}` }).catch(() => undefined);
  const before = await people();
  const putting = other.ask('/api/backups/put-back', { name: backup.name }).catch(() => undefined);
  await wait(someMs(100, 900));
  await other.end('SIGKILL');
  await putting;
  await other.open();
  const after = await people();
  // All of the one or all of the other.
  if (after.length !== before.length) expect(after.filter((name) => name.startsWith('Later'))).toEqual([]);
  else expect(after).toEqual(before);
  await isWhole(other.store);
}

async function round(during: During, i: number): Promise<void> {
  if (during === 'writes') return duringWrites();
  if (during === 'import') return duringImport(`IM${i}`);
  if (during === 'undo') return duringUndo(`UN${i}`);
  if (during === 'backup') return duringBackup();
  if (during === 'migration') return duringMigration();
  return duringRestore();
}

/** Nothing that was acknowledged is lost or doubled. */
async function nothingIsLost(): Promise<void> {
  const standing = await readings();
  const stands = new Map(standing.map(({ path, text }) => [path, text]));
  expect(stands.size).toBe(standing.length);
  const lost = [...acknowledged].filter(([path, text]) => stands.get(path) !== text);
  expect(lost).toEqual([]);
  const { part } = await server.ask<{ part: { quantity: number } }>(`/api/stock/parts/${SKU}`);
  const gone = BOOKED - part.quantity;
  expect(gone).toBeGreaterThanOrEqual(taken);
  expect(gone).toBeLessThanOrEqual(taken + doubtful);
  expect(await server.ask('/api/store/inspect', {})).toEqual({ wrong: null });
}

test(`the plug is pulled ${ROUNDS} times, and nothing that was acknowledged is lost or doubled`, async () => {
  test.setTimeout(600_000 + ROUNDS * 30_000);
  await server.open();
  const made = { by: 'Ines', customer: { name: 'Crew' }, saw: null, complaint: '', promisedFor: null };
  job = (await server.ask<{ id: string }>('/api/jobs', made)).id;
  const { part } = await server.ask<{ part: { quantity: number } }>(`/api/stock/parts/${SKU}`);
  const booked = { id: 'start', by: 'Ines', kind: 'booked', pieces: 100_000 };
  for (let i = 0; i < 9; i += 1) await server.ask(`/api/stock/parts/${SKU}`, { ...booked, id: `start-${i}` });
  await server.ask(`/api/stock/parts/${SKU}`, { ...booked, pieces: BOOKED - 900_000 - part.quantity });
  for (let i = 0; i < ROUNDS; i += 1) {
    await test.step(`${i + 1}: ${DURING[i % DURING.length]}`, async () => {
      await round(DURING[i % DURING.length]!, i);
      await nothingIsLost();
      // A job takes so many places in: what was found is not asked again.
      if (acknowledged.size > 3000) {
        acknowledged.clear();
        job = (await server.ask<{ id: string }>('/api/jobs', made)).id;
      }
    });
  }
  expect(taken).toBeGreaterThan(ROUNDS / 7);
});
