import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import type { PutReadings, PutReadingsReply } from '../../src/contract';
import { inStore, verifyChain } from '../../src/data/chain/verify';
import { openStore } from '../../src/data/store';
import { JobStore } from '../../src/islands/job/store/job-store';
import { bringIn } from '../../src/offline/bring-in';
import { Outbox } from '../../src/offline/outbox';
import type { Context } from '../../src/server/context';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { createJob } from '../../src/server/use-cases/take-in';
import { testContext, type TestContext } from '../support/context';
import { memory } from '../support/storage';

/** So many stories: some with all tests, many by `npm run benches`. */
const RUNS = Number(process.env.SERRATA_RUNS ?? 40);
const PATHS = ['bar.stamp', 'bar.mount', 'chain.stamp'] as const;
type Path = (typeof PATHS)[number];

let prepared: TestContext;
beforeEach(() => {
  prepared = testContext();
});
afterEach(() => prepared.done());

class Away extends Error {}

/** What becomes of the next message: the plug is pulled before it is stored, or after. */
type Plug = 'in' | 'before' | 'after';

/** The shop: its store, which is opened anew when the plug was pulled, and a clock that may be set anywhere. */
class Shop {
  plug: Plug = 'in';
  /** Ids that were acknowledged as stored, as often as they were. */
  readonly acknowledged = new Set<string>();
  private context: Context;
  private clock = Date.UTC(2026, 11, 1, 9);

  constructor(
    private readonly path: string,
    readonly job: string,
  ) {
    this.context = this.opened();
  }

  private opened(): Context {
    return {
      store: openStore(`file:${this.path}`),
      now: () => new Date((this.clock += 1000)),
      newId: () => crypto.randomUUID(),
    };
  }

  private pull(): never {
    this.context.store.close();
    this.context = this.opened();
    this.plug = 'in';
    throw new Away('The server cannot be reached.');
  }

  skew(hours: number): void {
    this.clock += hours * 3_600_000;
  }

  async put(message: PutReadings): Promise<PutReadingsReply> {
    if (this.plug === 'before') this.pull();
    const reply = await putReadings(this.context, this.job, message);
    if (this.plug === 'after') this.pull();
    for (const { outcome, id } of reply.results) if (outcome === 'stored') this.acknowledged.add(id);
    return reply;
  }

  readings = async () => (await jobView(this.context, this.job)).readings;
  all = () =>
    this.context.store.db.all<{ id: string; path: string; text: string }>(
      sql`SELECT id, path, text FROM reading WHERE job_id = ${this.job}`,
    );
  close = (): void => this.context.store.close();
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 1));

/** A bench: a tablet or a desk, whose page is closed and opened, and whose network comes and goes. */
class Bench {
  store!: JobStore;
  isOnline = true;
  private later: (() => void)[] = [];
  private readonly storage = memory();
  /** Places at which this bench was contradicted, and those at which it showed that it was. */
  readonly told = new Set<string>();
  readonly shown = new Set<string>();

  constructor(
    private readonly shop: Shop,
    readonly name: string,
  ) {}

  private reached<T>(work: () => Promise<T>): Promise<T> {
    return this.isOnline ? work() : Promise.reject(new Away('The server cannot be reached.'));
  }

  private readonly send = (message: PutReadings): Promise<PutReadingsReply> =>
    this.reached(async () => {
      const reply = await this.shop.put(message);
      for (const { outcome, id } of reply.results)
        if (outcome === 'conflict') this.told.add(message.readings.find((each) => each.id === id)!.path);
      return reply;
    });

  async open(): Promise<void> {
    this.later = [];
    const known = await this.reached(this.shop.readings).catch(() => []);
    this.store = new JobStore(known, new Outbox(this.storage, this.shop.job, 'tab'), {
      send: this.send,
      fetchJob: () => this.reached(async () => ({ readings: await this.shop.readings() })),
      newId: () => crypto.randomUUID(),
      later: (work) => void this.later.push(work),
      announce: () => undefined,
      mayRetry: (error) => error instanceof Away,
    });
    this.store.subscribe(() => this.look());
    await this.store.flush();
  }

  /** Notes what stands before whoever is here. */
  private look(): void {
    for (const { path, conflict } of this.store.getSnapshot().standing.values()) if (conflict) this.shown.add(path);
  }

  enter(path: Path, text: string): void {
    this.store.set(path, text, 'mm', this.name);
  }

  resolve(keep: 'theirs' | 'ours'): boolean {
    const torn = [...this.store.getSnapshot().standing].find(([, { conflict }]) => conflict !== null);
    if (torn) this.store.resolve(torn[0], keep, this.name);
    return torn !== undefined;
  }

  async tick(): Promise<void> {
    const due = this.later;
    this.later = [];
    for (const work of due) work();
    await settle();
    await this.store.flush();
  }

  /** The page is shut, and another of the browser brings in what it left. */
  async bringsIn(): Promise<void> {
    await bringIn({
      storage: this.storage,
      tab: 'bring-in',
      send: (_job, message) => this.send(message),
      mayRetry: (error) => error instanceof Away,
      whereNobodyIs: (_job, work) => work(),
    });
    await this.open();
  }

  lookAgain = (): Promise<void> => this.store.refresh().catch(() => undefined);
  get waiting(): number {
    return this.store.getSnapshot().waiting;
  }
  get texts(): readonly string[] {
    return PATHS.map((path) => this.store.getSnapshot().standing.get(path)?.text ?? '');
  }
}

const bench = fc.nat({ max: 3 });
const act = fc.oneof(
  { weight: 8, arbitrary: fc.record({ do: fc.constant('enter' as const), bench, path: fc.constantFrom(...PATHS) }) },
  { weight: 3, arbitrary: fc.record({ do: fc.constantFrom('tick' as const, 'look' as const), bench }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('line' as const), bench, isOnline: fc.boolean() }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constantFrom('reload' as const, 'brought' as const), bench }) },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('plug' as const),
      plug: fc.constantFrom('before' as const, 'after' as const),
    }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('skew' as const), hours: fc.integer({ min: -48, max: 48 }) }) },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('resolve' as const),
      bench,
      keep: fc.constantFrom('theirs' as const, 'ours' as const),
    }),
  },
);
type Act = typeof act extends fc.Arbitrary<infer A> ? A : never;

async function done(each: Act, shop: Shop, benches: readonly Bench[], text: string): Promise<void> {
  if (each.do === 'plug') shop.plug = each.plug;
  if (each.do === 'skew') shop.skew(each.hours);
  if (!('bench' in each)) return;
  const at = benches[each.bench % benches.length]!;
  if (each.do === 'enter') at.enter(each.path, text);
  if (each.do === 'line') at.isOnline = each.isOnline;
  if (each.do === 'tick') await at.tick();
  if (each.do === 'look') await at.lookAgain();
  if (each.do === 'reload') await at.open();
  if (each.do === 'brought') await at.bringsIn();
  if (each.do === 'resolve') at.resolve(each.keep);
}

/** Everybody is online, the plug stays in, and each contradiction is settled by whoever sees it. */
async function broughtToRest(shop: Shop, benches: readonly Bench[]): Promise<void> {
  shop.plug = 'in';
  for (const at of benches) at.isOnline = true;
  for (let round = 0; round < 40; round += 1) {
    let isAtRest = true;
    for (const at of benches) {
      await at.tick();
      await at.lookAgain();
      while (at.resolve('theirs')) isAtRest = false;
      await at.tick();
      isAtRest &&= at.waiting === 0;
    }
    if (isAtRest) return;
  }
  throw new Error('The benches do not come to rest.');
}

describe('benches at one job', () => {
  it(
    'have every acknowledged reading once, show each contradiction to somebody, and are equal at the end',
    async () => {
      await fc.assert(
        fc.asyncProperty(
          fc.integer({ min: 2, max: 4 }),
          fc.array(act, { minLength: 12, maxLength: 45 }),
          async (count, acts) => {
            const { id } = await createJob(prepared, {
              ...{ by: 'Ines', customer: { name: 'Benches' }, saw: null, complaint: '', promisedFor: null },
            });
            const shop = new Shop(prepared.path, id);
            const benches = Array.from({ length: count }, (_, i) => new Bench(shop, `Bench ${i + 1}`));
            for (const at of benches) await at.open();
            for (const [i, each] of acts.entries()) {
              await done(each, shop, benches, `text ${i}`);
              await settle();
            }
            await broughtToRest(shop, benches);
            for (const at of benches) await at.lookAgain();
            const stored = await shop.all();
            const ids = stored.map((reading) => reading.id);
            expect(new Set(ids).size).toBe(ids.length);
            for (const each of shop.acknowledged) expect(ids.filter((one) => one === each)).toHaveLength(1);
            const current = new Map((await shop.readings()).map(({ path, text }) => [path, text]));
            for (const { told, shown } of benches) expect([...shown]).toEqual(expect.arrayContaining([...told]));
            for (const at of benches) expect(at.texts).toEqual(PATHS.map((path) => current.get(path) ?? ''));
            shop.close();
          },
        ),
        { seed: 31, numRuns: RUNS },
      );
      expect(inStore(prepared.path, verifyChain).misfits).toEqual([]);
    },
    RUNS * 20_000,
  );
});
