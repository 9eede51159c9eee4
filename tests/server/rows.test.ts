import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addCustomer, addSaw, addStock } from '../../src/data/repositories';
import {
  allCustomersRows,
  allCustomersView,
  allSawsRows,
  allSawsView,
  changeGear,
  customerGear,
  modelRows,
  modelsView,
  sawGearView,
} from '../../src/server/use-cases/gear';
import { stockRows, stockView } from '../../src/server/use-cases/stock';
import type { RowsView } from '../../src/contract';
import { DEMO_STOCK } from '../../src/data/demo';
import { demoContext, testContext, type TestContext } from '../support/context';

const asked = (params: Record<string, string>) => new URLSearchParams(params);

/** All rows of a table, as the screen fetches them. */
async function all<Row>(rows: (from: string) => Promise<RowsView<Row>>): Promise<readonly (readonly Row[])[]> {
  const blocks: (readonly Row[])[] = [];
  for (let from: number | null = 0; from !== null;) {
    const { rows: block, next }: RowsView<Row> = await rows(String(from));
    blocks.push(block);
    from = next;
  }
  return blocks;
}

describe('rows of a long table', () => {
  let context: TestContext;
  beforeEach(() => {
    context = testContext();
  });
  afterEach(() => context.done());

  it('come some at a time, in one order, each once, and begin as the page does', async () => {
    const COUNT = 2300;
    const [one] = DEMO_STOCK;
    await context.store.write(async (tx) => {
      for (let i = 0; i < COUNT; i += 100)
        await addStock(
          tx,
          Array.from({ length: 100 }, (_, k) => ({
            ...one!,
            sku: `R-${String(i + k).padStart(4, '0')}`,
            quantity: i % 7,
          })),
        );
    });
    const blocks = await all((from) => stockRows(context, asked({ from })));
    expect(blocks.map(({ length }) => length)).toEqual([1000, 1000, 300]);
    const skus = blocks.flat().map(({ sku }) => sku);
    expect(new Set(skus).size).toBe(COUNT);
    const { parts, total } = await stockView(context, asked({}));
    expect(total).toBe(COUNT);
    expect(skus.slice(0, parts.length)).toEqual(parts.map(({ sku }) => sku));
    // What narrows the page narrows them, too.
    const narrowed = await all((from) => stockRows(context, asked({ from, q: 'R-00' })));
    expect(narrowed.flat().map(({ sku }) => sku)).toEqual(skus.filter((sku) => sku.startsWith('R-00')));
    const beyond = await stockRows(context, asked({ from: '99999' }));
    expect(beyond).toEqual({ rows: [], next: null });
    expect((await stockRows(context, asked({ from: 'elsewhere' }))).rows[0]!.sku).toBe(skus[0]);
  });

  it('are all saws, those entered last first, each once', async () => {
    const written = { at: '2026-01-01T00:00:00.000Z', by: 'Ines' };
    const facts = { customerId: 'c', label: 'Tarn 31', mount: 'M1', maxRpm: null };
    await context.store.write(async (tx) => {
      await addCustomer(tx, { id: 'c', name: 'Reed cutters', contact: '', ...written });
      for (let i = 0; i < 1100; i += 1) await addSaw(tx, { ...facts, id: `s${i}`, tag: `T-${i}`, ...written });
    });
    const ids = (await all((from) => allSawsRows(context, asked({ from })))).flat().map(({ id }) => id);
    expect(ids).toEqual(Array.from({ length: 1100 }, (_, i) => `s${1099 - i}`));
    const { saws, total } = await allSawsView(context, asked({ q: 'T-1099' }));
    expect([total, saws[0]!.id, saws[0]!.jobs, saws[0]!.last]).toEqual([1, 's1099', 0, null]);
  });
});

describe('all saws', () => {
  let context: TestContext;
  beforeEach(() => {
    context = demoContext();
  });
  afterEach(() => context.done());

  it('are found by name, tag and whose they are, with their jobs and the last of them', async () => {
    const found = async (q: string) => (await allSawsView(context, asked({ q }))).saws;
    const view = await sawGearView(context, 's-brask-66');
    const [only, ...more] = await found('TP-02');
    expect(more).toEqual([]);
    expect(only).toMatchObject({ id: 's-brask-66', jobs: view.jobs.length, last: { tag: view.jobs[0]!.tag } });
    expect((await found('Brask 66')).map(({ id }) => id)).toContain('s-brask-66');
    const crew = await found(view.customer.name);
    expect(crew.length).toBeGreaterThan(1);
    expect(crew.every(({ customer }) => customer.id === view.customer.id)).toBe(true);
    expect(await found('nothing of the kind')).toEqual([]);
  });

  it('leave out what is retired, until it is asked for', async () => {
    const { label, tag, mount, maxRpm, retired } = (await sawGearView(context, 's-brask-66')).saw;
    const was = { label, tag, mount, maxRpm, retired };
    const act = { say: 'saw-mended', sawId: 's-brask-66', facts: { ...was, retired: true }, was } as const;
    await changeGear(context, { id: crypto.randomUUID(), by: 'Ines', act });
    const total = async (params: Record<string, string>) => (await allSawsView(context, asked(params))).total;
    expect(await total({ q: 'TP-02' })).toBe(0);
    expect(await total({ q: 'TP-02', retired: 'yes' })).toBe(1);
    expect((await total({})) + 1).toBe(await total({ retired: 'yes' }));
  });
});

describe('all customers and models', () => {
  let context: TestContext;
  beforeEach(() => {
    context = demoContext();
  });
  afterEach(() => context.done());

  it('are found by their names, with how many saws they have, and come as the page begins', async () => {
    const { customers, total } = await allCustomersView(context, asked({}));
    const rows = (await all((from) => allCustomersRows(context, asked({ from })))).flat();
    expect(rows).toHaveLength(total);
    expect(rows.slice(0, customers.length)).toEqual(customers);
    const crew = rows.find(({ id }) => id === 'c-towpath')!;
    const [only, ...more] = (await allCustomersView(context, asked({ q: crew.name }))).customers;
    expect([only, more]).toEqual([crew, []]);
    const saws = (await all((from) => allSawsRows(context, asked({ from, retired: 'yes' })))).flat();
    expect(crew.saws).toBe(saws.filter(({ customer }) => customer.id === crew.id).length);
  });

  it('leave out a customer who is retired, until that is asked for', async () => {
    const { customer, facts } = await customerGear(context, 'c-towpath', null);
    const act = {
      say: 'customer-mended',
      customerId: customer.id,
      facts: { ...facts, retired: true },
      was: facts,
    } as const;
    await changeGear(context, { id: crypto.randomUUID(), by: 'Ines', act });
    const ids = async (params: Record<string, string>) =>
      (await allCustomersView(context, asked(params))).customers.map(({ id }) => id);
    expect(await ids({})).not.toContain(customer.id);
    expect(await ids({ retired: 'yes' })).toContain(customer.id);
  });

  it('of models are all that the page begins with', async () => {
    const { models, total } = await modelsView(context);
    const { rows, next } = await modelRows(context, null);
    expect([rows, next]).toEqual([models, null]);
    expect(total).toBe(rows.length);
  });
});
