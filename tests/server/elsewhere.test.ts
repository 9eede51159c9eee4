import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { inStore, verifyChain } from '../../src/data/chain/verify';
import { storeFromArchive } from '../../src/data/keeping/archive/read';
import { ARCHIVED } from '../../src/data/keeping/archive/tables';
import { writeArchive } from '../../src/data/keeping/archive/write';
import { inspectStore } from '../../src/data/keeping/inspect';
import { openForUse } from '../../src/data/keeping/opening';
import { withFileOf } from '../../src/data/keeping/over-the-wire';
import { verifyRecords } from '../../src/data/keeping/records';
import { openStore } from '../../src/data/store';
import { troubleOf } from '../../src/data/trouble';
import type { Context } from '../../src/server/context';
import { benchView } from '../../src/server/use-cases/bench';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { movePart } from '../../src/server/use-cases/shelf';
import { shopPage } from '../../src/server/use-cases/shop';
import { stockView } from '../../src/server/use-cases/stock';
import { createJob } from '../../src/server/use-cases/take-in';
import { makeBackup } from '../../src/server/use-cases/backup';
import { prepareDemoAt } from '../support/prepare-at';
import { LibsqlServer, type Fault } from '../support/libsql-server';

let folder: string;
let file: string;
let server: LibsqlServer;
let open: Context[];
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'serrata-elsewhere-'));
  file = join(folder, 'store.db');
  prepareDemoAt(file);
  server = await LibsqlServer.open(file);
  open = [];
});
afterEach(async () => {
  for (const { store } of open) store.close();
  await server.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A server of Serrata whose store is on the other machine. */
function serrata(token?: string): Context {
  const context = {
    store: openStore(server.url, token),
    now: () => new Date(),
    newId: () => crypto.randomUUID(),
  };
  open.push(context);
  return context;
}

/** Round trips that work takes. */
async function trips(work: () => Promise<unknown>): Promise<number> {
  const before = server.trips;
  await work();
  return server.trips - before;
}

/** A job of the Bench, once what looking at it began has come to its end. */
async function aJob(context: Context): Promise<string> {
  const { jobs } = await benchView(context, { page: null });
  await context.store.write(() => Promise.resolve());
  return jobs[0]!.id;
}

const reading = (text: string, station = 40, supersedes: string | null = null) => ({
  ...{ id: crypto.randomUUID(), path: `bar.edges.A.stations.${station}.near`, text },
  ...{ unit: 'mm' as const, instrument: null, supersedes },
});

const put = (context: Context, job: string, ...readings: ReturnType<typeof reading>[]) =>
  putReadings(context, job, { by: 'Tam Okoro', readings });

const stored = (context: Context, id: string) =>
  context.store.db.all<{ id: string }>(sql`SELECT id FROM reading WHERE id = ${id}`);

/** Goes wrong once, with the commit of a write: looks that go together end with one, too, beside others. */
function faultOnce(fault: Fault): void {
  let isDone = false;
  server.fault = (texts) => {
    if (isDone || texts.length !== 1 || !/^COMMIT/i.test(texts[0]!)) return null;
    isDone = true;
    return fault;
  };
}

describe('a store on another machine', () => {
  it('is brought up to date, and shows the same as one beside', async () => {
    const far = serrata();
    await openForUse(far.store, far.now);
    const near = { ...far, store: openStore(`file:${file}`) };
    const job = await aJob(far);
    expect(await jobView(far, job)).toEqual(await jobView(near, job));
    expect((await stockView(far, new URLSearchParams())).parts.length).toBeGreaterThan(10);
    near.store.close();
  });

  it('begins empty', async () => {
    const other = await LibsqlServer.open(join(folder, 'new.db'));
    const store = openStore(other.url);
    await openForUse(store, () => new Date());
    expect(await store.db.all(sql`SELECT count(*) AS n FROM job`)).toEqual([{ n: 0 }]);
    store.close();
    await other.close();
  });

  it('is asked few times for a page', async () => {
    const far = serrata();
    const job = await aJob(far);
    const counted = {
      job: await trips(() => jobView(far, job)),
      bench: await trips(() => benchView(far, { page: null })),
      stock: await trips(() => stockView(far, new URLSearchParams())),
      shop: await trips(() => shopPage(far)),
    };
    // It looks before it writes, step by step.
    expect(await trips(() => put(far, job, reading('6.5')))).toBeLessThanOrEqual(12);
    for (const [page, count] of Object.entries(counted)) expect(count, page).toBeLessThanOrEqual(3);
  });

  it('may be slow', async () => {
    const far = serrata();
    server.latency = 50;
    const job = await aJob(far);
    const next = reading('6.5');
    await put(far, job, next);
    expect(await stored(far, next.id)).toHaveLength(1);
  });

  it('tells that it is away, and that its token does not count', async () => {
    const far = serrata();
    const job = await aJob(far);
    server.fault = () => 'away';
    expect(troubleOf(await jobView(far, job).catch((error: unknown) => error))).toBe('away');
    expect(troubleOf(await put(far, job, reading('6.5')).catch((error: unknown) => error))).toBe('away');
    server.fault = () => null;
    expect((await jobView(far, job)).job.id).toBe(job);
    server.token = 'right';
    expect(troubleOf(await jobView(far, job).catch((error: unknown) => error))).toBe('refused');
    expect((await jobView(serrata('right'), job)).job.id).toBe(job);
  });

  it.each(['answer-lost', 'cut-before-commit'] as const)(
    'asked again after a commit went wrong (%s) stores once',
    async (fault) => {
      const far = serrata();
      const job = await aJob(far);
      const next = reading('6.5');
      faultOnce(fault);
      expect(troubleOf(await put(far, job, next).catch((error: unknown) => error))).toBe('away');
      expect(await stored(far, next.id)).toHaveLength(fault === 'answer-lost' ? 1 : 0);
      expect((await put(far, job, next)).results).toEqual([{ outcome: 'stored', id: next.id }]);
      expect(await stored(far, next.id)).toHaveLength(1);
      expect(inStore(file, verifyChain).misfits).toEqual([]);
    },
  );

  it('is not opened by an older Serrata than wrote it', async () => {
    const far = serrata();
    await far.store.db.run(sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)`);
    await expect(openForUse(far.store, far.now)).rejects.toThrow('newer version');
  });

  it('is saved where it is, and says so', async () => {
    await expect(makeBackup(serrata(), 'by-hand')).rejects.toThrow('on another machine');
  });
});

describe('two servers on one store', () => {
  it('lose and double nothing, with four who write at once', async () => {
    const [one, other] = [serrata(), serrata()];
    const job = await aJob(one);
    const [part] = (await stockView(one, new URLSearchParams())).parts.filter(({ quantity }) => quantity > 0);
    const pieces = part!.quantity;
    // Each writer takes pieces, reads the same places, and takes in jobs; more pieces are asked for than there are.
    const took: number[] = [];
    const outcomes: string[] = [];
    const tags: string[] = [];
    const writer = async (context: Context, by: string): Promise<void> => {
      for (let i = 0; i < 4; i += 1) {
        await movePart(context, part!.sku, {
          id: crypto.randomUUID(),
          by,
          kind: 'taken',
          pieces: Math.ceil(pieces / 8),
          note: '',
        })
          .then(() => took.push(Math.ceil(pieces / 8)))
          .catch((error: unknown) => expect(String(error)).toMatch(/shelf/));
        const { results } = await put(context, job, reading(`6.${i}`, 50 + i));
        outcomes.push(...results.map(({ outcome }) => outcome));
        const data = { by, customer: { name: 'Two servers' }, saw: null, complaint: '', promisedFor: null };
        const { id } = await createJob(context, data as never);
        tags.push((await jobView(context, id)).job.tag);
      }
    };
    await Promise.all([writer(one, 'A'), writer(one, 'B'), writer(other, 'C'), writer(other, 'D')]);
    const { parts } = await stockView(other, new URLSearchParams());
    const left = parts.find(({ sku }) => sku === part!.sku)!.quantity;
    expect(left).toBe(pieces - took.reduce((sum, each) => sum + each, 0));
    expect(left).toBeGreaterThanOrEqual(0);
    expect(new Set(tags).size).toBe(tags.length);
    // Of each place the first reading is stored, and the others are shown it.
    expect(outcomes.filter((each) => each === 'stored')).toHaveLength(4);
    expect(outcomes.filter((each) => each === 'conflict')).toHaveLength(12);
    expect(inStore(file, verifyChain).misfits).toEqual([]);
  });
});

describe('a store on another machine, carried away over the wire', () => {
  it('is an archive of all that stands there, and a store again', async () => {
    const home = serrata();
    const job = await aJob(home);
    await put(home, job, reading('5.5'));
    const archive = join(folder, 'away.zip');
    await withFileOf(server.url, (copy) => writeArchive(`file:${copy}`, archive, new Date()));
    const again = join(folder, 'again.db');
    await storeFromArchive(archive, again);
    expect(inStore(again, verifyChain)).toEqual(inStore(file, verifyChain));
    const rowsOf = (at: string) =>
      inStore(at, (store) =>
        ARCHIVED.map(({ name, columns }) =>
          store
            .prepare(`SELECT rowid, ${columns.map((each) => `"${each}"`).join(', ')} FROM "${name}" ORDER BY rowid`)
            .all(),
        ),
      );
    expect(rowsOf(again)).toEqual(rowsOf(file));
  });

  it('is looked through as a file is, and what does not fit is told', async () => {
    expect(await withFileOf(server.url, inspectStore)).toEqual({ state: 'whole' });
    expect((await withFileOf(server.url, (copy) => verifyRecords(copy))).misfits).toEqual([]);
    const store = new Database(file);
    store.exec('DROP TRIGGER reading_never_changes');
    store.exec("UPDATE reading SET text = '9' WHERE seq = 3");
    store.close();
    expect((await withFileOf(server.url, (copy) => verifyRecords(copy))).misfits).toMatchObject([
      { what: 'changed', record: 'reading', key: '3' },
    ]);
  });

  it('leaves nothing behind where the way is cut', async () => {
    const copies = () => readdirSync(tmpdir()).filter((name) => name.startsWith('serrata-copy-'));
    const before = copies();
    const sofar = server.trips;
    server.fault = () => (server.trips > sofar + 8 ? 'away' : null);
    await expect(withFileOf(server.url, () => 'never')).rejects.toThrow();
    expect(copies()).toEqual(before);
  });
});
