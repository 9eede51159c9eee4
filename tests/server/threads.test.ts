import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterAll, afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { leave, stillAsked } from '../../src/server/heavy/asked';
import { figuresView } from '../../src/server/use-cases/figures';
import { changeLimit } from '../../src/server/use-cases/shop';
import { previewLimit } from '../../src/server/use-cases/limit-preview';
import { jobPlans } from '../../src/server/use-cases/plans';
import { demoContext, testContext, type TestContext } from '../support/context';
import { jobOf } from '../support/signing';

let [shop, other]: TestContext[] = [];
beforeEach(() => {
  [shop, other] = [demoContext(), testContext()];
  // A thread stands back behind the server; this one has tests to run.
  vi.doMock('../../src/server/heavy/aside', () => ({ standBack: () => undefined }));
});
afterEach(async () => {
  vi.doUnmock('../../src/server/heavy/aside');
  await Promise.all([shop, other].map((context) => context!.done()));
});

describe('a thread', () => {
  it('answers from the store that is asked for, whichever it looked into before', async () => {
    const { default: work } = await import('../../src/server/heavy/worker');
    const id = await jobOf(shop!, 'L-0417');
    const asked = stillAsked();
    const plans = ({ store }: TestContext) =>
      work({ name: 'plans', shop: '', url: store.url, args: [id, null], asked });
    const there = { is: 'done', value: await jobPlans(shop!, id) };
    const missing = { is: 'refused', refusal: { status: 404 } };
    expect(await plans(shop!)).toEqual(there);
    expect(await plans(other!)).toMatchObject(missing);
    expect(await plans(shop!)).toEqual(there);
  });

  it('does not begin what nobody waits for any more', async () => {
    const { default: work } = await import('../../src/server/heavy/worker');
    const asked = stillAsked();
    leave(asked);
    const answered = await work({ name: 'stockCsv', shop: '', url: 'file:/no/such/store.db', args: [], asked });
    expect(answered).toMatchObject({ is: 'refused', refusal: { status: 503, code: 'gone' } });
  });

  it('only looks: what it makes afresh it keeps nowhere, since nobody would wait for its write', async () => {
    const { default: work } = await import('../../src/server/heavy/worker');
    // Every summary is made with other limits now.
    await changeLimit(shop!, 'bar.depth.325', { by: 'Ines', value: '5 mm', source: null });
    const kept = () => shop!.store.db.all(sql`SELECT id, summary_key FROM job ORDER BY id`);
    const before = await kept();
    const writes = vi.spyOn(console, 'error');
    const look = (name: 'figures' | 'dueCsv', args: readonly string[]) =>
      work({ name, shop: '', url: shop!.store.url, args: args as never, asked: stillAsked() });
    expect(await look('figures', ['2020-01-01', ''])).toMatchObject({ is: 'done' });
    expect(await look('dueCsv', ['c-towpath'])).toMatchObject({ is: 'done' });
    await new Promise((done) => setTimeout(done, 50));
    expect(await kept()).toEqual(before);
    expect(writes).not.toHaveBeenCalled();
    // The server's own thread keeps them.
    await figuresView(shop!, '2020-01-01', '');
    await shop!.store.write(async () => undefined);
    expect(await kept()).not.toEqual(before);
  });

  it('leaves a preview between two jobs once whoever asked has gone', async () => {
    const change = { value: '3' };
    expect((await previewLimit(shop!, 'bar.depth.325', change)).jobs).toBeGreaterThan(1);
    const looks = vi.fn(() => looks.mock.calls.length > 1);
    const preview = previewLimit({ ...shop!, isLeft: looks }, 'bar.depth.325', change);
    await expect(preview).rejects.toMatchObject({ code: 'gone' });
    expect(looks).toHaveBeenCalledTimes(2);
  });
});

describe('threads beside the server', () => {
  const folder = mkdtempSync(join(tmpdir(), 'threads-'));
  const [program] = [process.argv[1]];
  afterAll(() => {
    process.argv[1] = program!;
    rmSync(folder, { recursive: true });
  });

  it('stops no thread when whoever asked goes: it ends by itself, and takes the next task', async () => {
    // In place of the built threads: one that tells which it is, or works until it is left.
    const thread = `
      import { threadId } from 'node:worker_threads';
      export default ({ name, asked }) => {
        while (name === 'stockCsv' && Atomics.load(asked, 0) === 0);
        return { is: 'done', value: threadId };
      };`;
    writeFileSync(join(folder, 'worker.mjs'), thread);
    process.argv[1] = join(folder, 'main.mjs');
    vi.resetModules();
    const { heavily } = await import('../../src/server/heavy/threads');
    const { bringToEnd } = await import('../../src/server/endings');
    const which = () => heavily(shop!, 'plans', ['', null]);
    const first = await which();
    const asker = new AbortController();
    const long = heavily(shop!, 'stockCsv', [], asker.signal);
    setImmediate(() => asker.abort());
    expect(await long).toBe(first);
    expect(await which()).toBe(first);
    // At the end of the server, what still works is left and waited for.
    const atWork = heavily(shop!, 'stockCsv', []);
    await bringToEnd();
    expect(await atWork).toBe(first);
  });
});
