import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { inStore, verifyChain } from '../../src/data/chain/verify';
import { storeFromArchive } from '../../src/data/keeping/archive/read';
import { ARCHIVED } from '../../src/data/keeping/archive/tables';
import { writeArchive } from '../../src/data/keeping/archive/write';
import { inspectStore } from '../../src/data/keeping/inspect';
import { openForUse } from '../../src/data/keeping/opening';
import { withFileOf } from '../../src/data/keeping/over-the-wire';
import { verifyRecords } from '../../src/data/keeping/records';
import { allShops, findJob } from '../../src/data/repositories';
import { openStore } from '../../src/data/store';
import { troubleOf } from '../../src/data/trouble';
import { forShop, type Context } from '../../src/server/context';
import { benchView } from '../../src/server/use-cases/bench';
import { sawGearView } from '../../src/server/use-cases/gear';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { beginShop } from '../../src/server/use-cases/shops';
import { movePart } from '../../src/server/use-cases/shelf';
import { rulesInForce, shopPage } from '../../src/server/use-cases/shop';
import { searchView, stockView } from '../../src/server/use-cases/stock';
import { refreshSummary } from '../../src/server/use-cases/summary';
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
  server.fault = () => null;
  server.latency = 0;
  server.token = null;
  for (const context of open) await settled(context);
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
  ...{ id: crypto.randomUUID() as string, path: `bar.edges.A.stations.${station}.near`, text },
  ...{ unit: 'mm' as const, instrument: null, supersedes },
});

const put = (context: Context, job: string, ...readings: ReturnType<typeof reading>[]) =>
  putReadings(context, job, { by: 'Tam Okoro', readings });

const stored = (context: Context, id: string) =>
  context.store.db.all<{ id: string }>(sql`SELECT id FROM reading WHERE id = ${id}`);

const isStale = async (context: Context, job: string): Promise<boolean> =>
  (await findJob(context.store.db, job))!.summaryKey.startsWith('after:');

const summaryOf = async (context: Context, job: string) => (await findJob(context.store.db, job))!.summary;

/** Waits until every summary that is made aside is there. */
async function settled({ store }: Context): Promise<void> {
  await vi.waitFor(async () => {
    const stale = await store.whole.db.all(sql`SELECT 1 FROM job WHERE summary_key LIKE 'after:%'`);
    if (stale.length > 0 || !store.isIdle()) throw new Error('Some summary is still to be made.');
  }, 20_000);
}

/** The store as a file beside, with a job's summary made anew there. */
async function asNear(far: Context, job: string): Promise<Context> {
  const near = { ...far, store: openStore(`file:${file}`) };
  open.push(near);
  await near.store.write(async (tx) => refreshSummary(tx, job, await rulesInForce(near)));
  return near;
}

/** Goes wrong once, with a write of one statement or of several. */
function faultOnce(fault: Fault, isIt: (texts: readonly string[]) => boolean): void {
  let isDone = false;
  server.fault = (texts) => {
    if (isDone || !isIt(texts)) return null;
    isDone = true;
    return fault;
  };
}

/** The ways in which a reading is committed: all in one, or step by step. */
const COMMITS = {
  'in one': (texts: readonly string[]) => texts.some((text) => /INSERT INTO "chain_link"/.test(text)),
  // Looks that go together end with one, too, beside others.
  'step by step': (texts: readonly string[]) => texts.length === 1 && /^COMMIT/i.test(texts[0]!),
};

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
    for (const [page, count] of Object.entries(counted)) expect(count, page).toBeLessThanOrEqual(2);
    // What is on a saw is known only once its jobs are, and which chains answer only once that is.
    expect(await trips(() => sawGearView(far, 's-brask-66'))).toBeLessThanOrEqual(4);
    expect(await trips(() => searchView(far, 'towpath'))).toBeLessThanOrEqual(2);
  });

  it('is asked no more often for a job that has gone, of a saw with a past', async () => {
    const far = serrata();
    await aJob(far);
    const all = await benchView(far, { page: null, done: true });
    for (const { id } of all.jobs.slice(0, 6)) {
      await jobView(far, id);
      await settled(far);
      expect(await trips(() => jobView(far, id))).toBeLessThanOrEqual(2);
    }
  });

  it('takes a reading in one way there and back, and the summary of its job follows', async () => {
    const far = serrata();
    const job = await aJob(far);
    // The first only guesses where the chain of records stands.
    await put(far, job, reading('6.5', 41));
    await settled(far);
    expect(await trips(() => put(far, job, reading('6.5', 42)))).toBe(1);
    expect(await isStale(far, job)).toBe(true);
    await settled(far);
    expect(await isStale(far, job)).toBe(false);
    // Several in one, and of one place one after another.
    expect(await trips(() => put(far, job, reading('6.5', 43), reading('6.4', 44)))).toBe(1);
    const [first, second] = [reading('6.3', 45), reading('6.2', 45)];
    const { results } = await put(far, job, first, { ...second, supersedes: first.id });
    expect(results.map(({ outcome }) => outcome)).toEqual(['stored', 'stored']);
    await settled(far);
    expect(await summaryOf(far, job)).toEqual(await summaryOf(await asNear(far, job), job));
    expect(inStore(file, verifyChain).misfits).toEqual([]);
  });

  it('tells of each reading what came of it where one condition does not hold', async () => {
    const [far, other] = [serrata(), serrata()];
    const job = await aJob(far);
    const [mine, theirs] = [reading('6.5', 46), reading('6.6', 46)];
    await put(far, job, reading('6.4', 47));
    await put(other, job, theirs);
    const { results } = await put(far, job, mine, reading('6.6', 48));
    expect(results).toMatchObject([{ outcome: 'conflict', current: { id: theirs.id } }, { outcome: 'stored' }]);
    await expect(put(far, job, { ...theirs, text: '7' })).rejects.toThrow('id');
    await expect(put(far, 'no-such-job', reading('6.5'))).rejects.toThrow('job');
    await settled(far);
    await far.store.whole.db.run(sql`UPDATE job SET state = 'handed-over' WHERE id = ${job}`);
    await expect(put(far, job, reading('6.5', 49))).rejects.toThrow('open');
    expect(inStore(file, verifyChain).misfits).toEqual([]);
  });

  it('takes no id that a reading of another shop has', async () => {
    const far = serrata();
    const { id } = (await jobView(far, await aJob(far))).readings[0]!;
    await beginShop(far, { name: 'Lower Lock', sharesGear: true, owner: 'Wren Ashby', password: '' });
    const sister = forShop(far, (await allShops(far.store.whole.db)).at(-1)!.id);
    const data = { by: 'Wren Ashby', customer: { name: 'Reed cutters' }, saw: null, complaint: '', promisedFor: null };
    const own = (await createJob(sister, data as never)).id;
    await expect(put(sister, own, { ...reading('6.5'), id })).rejects.toMatchObject({ code: 'id-taken' });
    expect((await put(sister, own, reading('6.5'))).results).toMatchObject([{ outcome: 'stored' }]);
    await settled(sister);
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
    // Of what is asked at once nothing fails unheard.
    expect(troubleOf(await sawGearView(far, 's-brask-66').catch((error: unknown) => error))).toBe('away');
    server.fault = () => null;
    expect((await jobView(far, job)).job.id).toBe(job);
    server.token = 'right';
    expect(troubleOf(await jobView(far, job).catch((error: unknown) => error))).toBe('refused');
    expect((await jobView(serrata('right'), job)).job.id).toBe(job);
  });

  it.each([
    ['in one', 'answer-lost'],
    ['in one', 'cut-before-commit'],
    ['step by step', 'answer-lost'],
    ['step by step', 'cut-before-commit'],
  ] as const)('asked again after a commit (%s) went wrong (%s) stores once', async (how, fault) => {
    const far = serrata();
    const job = await aJob(far);
    const [before, next] = [reading('6.4', 39), reading('6.5')];
    await put(far, job, before);
    await settled(far);
    // What corrects another of the same breath goes step by step.
    const sent =
      how === 'in one'
        ? [next]
        : [
            { ...reading('6.6'), id: 'corrected' },
            { ...next, supersedes: 'corrected' },
          ];
    faultOnce(fault, COMMITS[how]);
    expect(troubleOf(await put(far, job, ...sent).catch((error: unknown) => error))).toBe('away');
    expect(await stored(far, next.id)).toHaveLength(fault === 'answer-lost' ? 1 : 0);
    expect((await put(far, job, ...sent)).results.at(-1)).toEqual({ outcome: 'stored', id: next.id });
    expect(await stored(far, next.id)).toHaveLength(1);
    expect(inStore(file, verifyChain).misfits).toEqual([]);
  });

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
    await settled(home);
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
