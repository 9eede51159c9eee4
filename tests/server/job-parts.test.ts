import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import fc from 'fast-check';
import { sql } from 'drizzle-orm';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { actOnOrder, actOnPart, jobParts } from '../../src/server/use-cases/job-parts';
import { benchView } from '../../src/server/use-cases/bench';
import { movePart } from '../../src/server/use-cases/shelf';
import { orderStandIn, setSupplierMood } from '../../src/server/use-cases/supplier';
import { DEMO_STOCK } from '../../src/data/demo';
import { partsBySku } from '../../src/data/repositories';
import { Refusal } from '../../src/server/refusal';
import type { JobPartAct, JobPartView, OrderAct } from '../../src/contract';
import { demoContext, type TestContext } from '../support/context';
import { jobOf, signPlan } from '../support/signing';

let context: TestContext;
beforeEach(async () => {
  context = demoContext();
  // The stand-in here answers at once; a machine that is slow is no supplier that is silent.
  vi.spyOn(AbortSignal, 'timeout').mockImplementation(() => new AbortController().signal);
});
afterEach(() => {
  vi.restoreAllMocks();
  return context.done();
});

/** The stand-in supplier on a door of its own; it answers as the shop's mood has it, at once. */
let supplier: Server;
let address: string;
beforeAll(async () => {
  supplier = createServer((request, response) => {
    const url = new URL(request.url!, 'http://supplier');
    let body = '';
    request.on('data', (chunk: Buffer) => (body += chunk.toString()));
    request.on('end', () => {
      const sku = request.method === 'POST' ? (JSON.parse(body) as { sku: string }).sku : url.searchParams.get('sku')!;
      void orderStandIn(context, sku, request.method === 'GET').then((behaviour) => {
        if (behaviour.line === 'dead') response.writeHead(502).end();
        else response.writeHead(200, { 'Content-Type': 'application/json' }).end(JSON.stringify(behaviour.answer));
      });
    });
  });
  await new Promise<void>((done) => supplier.listen(0, '127.0.0.1', done));
  address = `http://127.0.0.1:${(supplier.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((done) => supplier.close(done)));

const part = (id: string, sku: string, act: JobPartAct['act'], key: string = crypto.randomUUID()) =>
  actOnPart(context, id, { id: key, by: 'Tam', sku, act }, address);
const order = (id: string, act: OrderAct['act'], key: string = crypto.randomUUID()) =>
  actOnOrder(context, id, { id: key, by: 'Tam', act }, address);
const left = async (sku: string) => (await partsBySku(context.store.db, [sku]))[0]?.quantity ?? null;
const waits = async (id: string) =>
  (await benchView(context, { page: '1' })).jobs.find((job) => job.id === id)?.summary.waits;

describe('parts of a plan', () => {
  it('are taken from the shelf for the job and counter-booked back, with every movement kept', async () => {
    const id = await jobOf(context, 'L-0417');
    const [sku] = await signPlan(context, id, ({ chain, bar }) => chain === 'replace' && bar === 'recondition');
    const before = (await left(sku!))!;
    expect((await jobParts(context, id)).parts).toMatchObject([{ sku, state: 'on-shelf' }]);
    expect((await part(id, sku!, 'take')).parts).toMatchObject([{ sku, state: 'taken', left: before - 1 }]);
    await expect(part(id, sku!, 'take')).rejects.toMatchObject({ code: 'taken-already' });
    expect((await part(id, sku!, 'put-back')).parts).toMatchObject([{ sku, state: 'on-shelf', left: before }]);
    await expect(part(id, sku!, 'put-back')).rejects.toMatchObject({ code: 'not-taken' });
    const moved = await context.store.db.all<{ kind: string; change: number }>(
      sql`SELECT kind, change FROM stock_movement WHERE job_id = ${id} ORDER BY seq`,
    );
    expect(moved).toEqual([
      { kind: 'for-job', change: -1 },
      { kind: 'from-job', change: 1 },
    ]);
  });

  it('are taken once however often that is sent, and not by a stranger’s id', async () => {
    const id = await jobOf(context, 'L-0417');
    const [sku] = await signPlan(context, id, ({ chain, bar }) => chain === 'replace' && bar === 'recondition');
    const before = (await left(sku!))!;
    await part(id, sku!, 'take', 'same');
    await part(id, sku!, 'take', 'same');
    expect(await left(sku!)).toBe(before - 1);
    await expect(part(id, sku!, 'put-back', 'same')).rejects.toMatchObject({ code: 'id-taken' });
    await expect(part(id, 'LD-9050-45', 'take')).rejects.toMatchObject({ code: 'not-of-plan' });
  });

  it('that somebody else took meanwhile are said to be gone', async () => {
    const id = await jobOf(context, 'L-0417');
    const [sku] = await signPlan(context, id, ({ chain, bar }) => chain === 'replace' && bar === 'recondition');
    await movePart(context, sku!, { id: 'm', by: 'Wilf', kind: 'taken', pieces: (await left(sku!))!, note: '' });
    await expect(part(id, sku!, 'take')).rejects.toMatchObject({ code: 'too-few' });
    expect(await left(sku!)).toBe(0);
  });

  it('that are missing are ordered, wait on the bench, arrive on the shelf, and are taken', async () => {
    const id = await jobOf(context, 'L-0413');
    const [first] = (await jobParts(context, id)).parts;
    // The demo's order is late; it is called off, and ordered anew.
    expect(first).toMatchObject({ state: 'late', order: { state: 'late' } });
    expect(await waits(id)).toBe('waiting-for-parts');
    expect((await order(first!.order!.id, 'cancel')).parts[0]!.state).toBe('missing');
    const [ordered] = (await part(id, first!.sku, 'order')).parts;
    expect(ordered).toMatchObject({ state: 'confirmed', order: { due: expect.stringMatching(/^2026-1[12]-\d\d$/) } });
    await expect(part(id, first!.sku, 'order')).rejects.toMatchObject({ code: 'on-its-way' });
    expect(await waits(id)).toBe('waiting-for-parts');
    const before = (await left(first!.sku))!;
    expect((await order(ordered!.order!.id, 'arrived', 'here')).parts[0]).toMatchObject({
      state: 'on-shelf',
      left: before + 1,
    });
    await order(ordered!.order!.id, 'arrived', 'here');
    expect(await left(first!.sku)).toBe(before + 1);
    await expect(order(ordered!.order!.id, 'arrived')).rejects.toMatchObject({ code: 'order-closed' });
    expect(await waits(id)).not.toBe('waiting-for-parts');
    expect((await part(id, first!.sku, 'take')).parts[0]!.state).toBe('taken');
  });

  it('stay ordered where the supplier is silent, are late where it says so, and refused where it has none', async () => {
    const id = await jobOf(context, 'L-0413');
    const [{ sku, order: first } = {} as JobPartView] = (await jobParts(context, id)).parts;
    await order(first!.id, 'cancel');
    await setSupplierMood(context, { mood: 'unreachable' });
    const [silent] = (await part(id, sku, 'order')).parts;
    expect(silent!.state).toBe('ordered');
    expect(silent!.order!.events.at(-1)!.note).toContain('down');
    await setSupplierMood(context, { mood: 'usual' });
    const [confirmed] = (await order(silent!.order!.id, 'ask')).parts;
    expect(confirmed!.state).toBe('confirmed');
    await setSupplierMood(context, { mood: 'late' });
    const [late] = (await order(silent!.order!.id, 'ask')).parts;
    expect(late!.state).toBe('late');
    expect(late!.order!.due! > confirmed!.order!.due!).toBe(true);
    await setSupplierMood(context, { mood: 'out-of-stock' });
    const [refused] = (await order(silent!.order!.id, 'ask')).parts;
    expect(refused).toMatchObject({ state: 'refused' });
    expect(await waits(id)).toBe('waiting-for-parts');
    await setSupplierMood(context, { mood: 'usual' });
    expect((await part(id, sku, 'order')).parts[0]!.state).toBe('confirmed');
  });

  it('are late by themselves once their day has passed', async () => {
    const id = await jobOf(context, 'L-0413');
    const [{ sku, order: first } = {} as JobPartView] = (await jobParts(context, id)).parts;
    await order(first!.id, 'cancel');
    await part(id, sku, 'order');
    const later = { ...context, now: () => new Date('2026-12-24T09:00:00Z') };
    expect((await jobParts(later, id)).parts[0]!.state).toBe('late');
  });
});

/** What a bench may do, at random. */
type Act =
  | { readonly do: 'take' | 'put-back' | 'order'; readonly job: number }
  | { readonly do: 'arrived' | 'cancel' | 'ask'; readonly job: number }
  | { readonly do: 'counter'; readonly pieces: number };

const acts: fc.Arbitrary<Act> = fc.oneof(
  fc.record({ do: fc.constantFrom('take' as const, 'put-back' as const, 'order' as const), job: fc.nat(1) }),
  fc.record({ do: fc.constantFrom('arrived' as const, 'cancel' as const, 'ask' as const), job: fc.nat(1) }),
  fc.record({ do: fc.constant('counter' as const), pieces: fc.integer({ min: -2, max: 2 }).filter((n) => n !== 0) }),
);

describe('whatever a bench does with parts', () => {
  it('the shelf is the sum of what moved, never below none, and what was refused is said', async () => {
    // Two jobs that want the same chain.
    const jobs = [await jobOf(context, 'L-0417'), await jobOf(context, 'L-0425')];
    const [sku] = await signPlan(context, jobs[0]!, ({ chain, bar }) => chain === 'replace' && bar === 'recondition');
    await context.store.db.run(
      sql`INSERT INTO sign_off SELECT 'copy', ${jobs[1]}, at, "by", sheet, limits, assessment, version, up_to_reading, plan, rules FROM sign_off WHERE job_id = ${jobs[0]}`,
    );
    await context.store.whole.db.run(sql`UPDATE job SET state = 'signed-off' WHERE id = ${jobs[1]}`);
    const start = DEMO_STOCK.find((each) => each.sku === sku)!.quantity;
    const run = async (act: Act): Promise<void> => {
      if (act.do === 'counter') {
        const kind = act.pieces < 0 ? 'taken' : 'booked';
        await movePart(context, sku!, {
          id: crypto.randomUUID(),
          by: 'Wilf',
          kind,
          pieces: Math.abs(act.pieces),
          note: '',
        });
        return;
      }
      const id = jobs[act.job]!;
      if (act.do === 'take' || act.do === 'put-back' || act.do === 'order') {
        await part(id, sku!, act.do);
        return;
      }
      const standing = (await jobParts(context, id)).parts[0]!.order;
      if (standing) await order(standing.id, act.do);
    };
    await fc.assert(
      fc.asyncProperty(fc.array(acts, { minLength: 3, maxLength: 14 }), async (story) => {
        for (const act of story) {
          const before = await left(sku!);
          const refused = await run(act).then(
            () => false,
            (error: unknown) => {
              expect(error).toBeInstanceOf(Refusal);
              return true;
            },
          );
          const now = (await left(sku!))!;
          expect(now).toBeGreaterThanOrEqual(0);
          if (refused) expect(now).toBe(before);
          const [sum] = await context.store.db.all<{ all: number }>(
            sql`SELECT coalesce(sum(change), 0) AS "all" FROM stock_movement WHERE sku = ${sku}`,
          );
          expect(start + sum!.all).toBe(now);
          const [last] = await context.store.db.all<{ left: number }>(
            sql`SELECT "left" FROM stock_movement WHERE sku = ${sku} ORDER BY seq DESC LIMIT 1`,
          );
          if (last) expect(last.left).toBe(now);
        }
      }),
      { seed: 1509, numRuns: 12 },
    );
  });
});
