import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { countJobs, countStock, listJobs, listStock, search } from '../../src/data/repositories';
import { demoContext, type TestContext } from '../support/context';

const JOBS = 3000;

let context: TestContext;
beforeEach(async () => {
  context = demoContext();
  await context.store.whole.write((tx) =>
    tx.run(sql`
      WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${JOBS})
      INSERT INTO job (id, tag, customer_id, state, created_at, created_by)
      SELECT 'many-' || i, 'Q-' || i, 'c-towpath', 'handed-over', '2026-11-23T09:00:00Z', 'test' FROM n`),
  );
});
afterEach(() => context.done());

describe('a store of many jobs', () => {
  const found = async (text: string) => (await search(context.store.db, text, 8)).map(({ title }) => title);

  it('is searched for what thousands of jobs mention: what is called so comes first, then the newest', async () => {
    const [first, ...rest] = await found('towpath');
    expect(first).toBe('Towpath crew');
    expect(rest).toHaveLength(7);
    expect(rest).toContain(`Q-${JOBS}`);
    expect(new Set(rest).size).toBe(rest.length);
    expect((await found('Towpath crew'))[0]).toBe('Towpath crew');
    // One that is called exactly so, among thousands that begin so.
    expect((await found('q-17'))[0]).toBe('Q-17');
    expect((await found('Q-3000'))[0]).toBe('Q-3000');
    expect(await found('towpath zz')).toEqual([]);
    // A saw that bears the name as its tag, among thousands whose text begins so.
    await context.store.whole.write((tx) =>
      tx.run(sql`
        INSERT INTO saw (id, customer_id, label, tag, created_at, created_by)
        VALUES ('tagged', 'c-towpath', 'Spare saw', 'TOWPATH', '2026-11-23T09:00:00Z', 'test')`),
    );
    expect((await found('towpath'))[0]).toBe('Spare saw');
  });

  it('counts the jobs that have gone as they are listed', async () => {
    const { db } = context.store;
    const all = await listJobs(db, { show: 'gone' }, { limit: 10_000, offset: 0 });
    expect(all.length).toBeGreaterThanOrEqual(JOBS);
    expect(await countJobs(db, { show: 'gone' })).toBe(all.length);
  });

  it('finds parts of the shelf by a word, and as many as it counts', async () => {
    const { db } = context.store;
    const parts = await listStock(db, { text: 'chain' }, { limit: 1000, offset: 0 });
    expect(parts.length).toBeGreaterThan(3);
    expect(parts.every(({ name, sku }) => /\bchain/i.test(`${name} ${sku}`))).toBe(true);
    expect(await countStock(db, { text: 'chain' })).toBe(parts.length);
    expect(await countStock(db, { text: 'towpath' })).toBe(0);
  });
});
