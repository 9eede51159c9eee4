import { sql } from 'drizzle-orm';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
import type { VisitFacts } from '../../src/core/life';
import { DEFAULTS } from '../../src/core/limits';
import { linkAllStanding } from '../../src/data/chain/begin';
import { DEMO_CODES } from '../../src/data/demo';
import { addStock } from '../../src/data/repositories';
import type { Context } from '../../src/server/context';
import { loadDemo } from '../../src/server/demo';
import { manyParts } from './many-parts';
import { summarise, summaryKey } from '../../src/server/use-cases/summary';

const RULES = { limits: DEFAULTS, codes: DEMO_CODES, schools: DEFAULT_SCHOOLS, studies: [] };
const OPEN_SHARE = 1000;
/** Parts on the shelf of the big store. */
export const PARTS_IN_STOCK = 20_000;
const AT_ONCE = 500;
/** Saws of the big store: with three pieces each, sixty thousand pieces. */
const SAWS = 20_000;
/** What each of its jobs found. */
const SEEN: Partial<VisitFacts> = {
  brought: ['bar', 'chain', 'driveSprocket'],
  hoursPerWeek: 4,
  marks: { bar: { pitch: '325', gauge: '.050' }, chain: { pitch: '325', gauge: '.050', driveLinks: 72 } },
  came: { 'bar.depth': { value: 7.4, u: 0.05 }, 'chain.cutter': { value: 6.1, u: 0.03 } },
};

const NOTHING_SIGNED = { signedOff: false, choices: null, handedOver: false, lacksParts: false, plan: null, skus: [] };

/** Fills a store with the demo, a large shelf, and so many jobs on top, one in a thousand of them open. */
export async function fillStore(context: Context, jobs: number): Promise<void> {
  await loadDemo(context);
  const { summary: empty } = summarise([], RULES, NOTHING_SIGNED);
  const summary = JSON.stringify({ ...empty, visit: { ...empty.visit, ...SEEN } });
  const key = summaryKey(RULES);
  await context.store.whole.write(async (tx) => {
    const count = (rows: number) =>
      sql`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${rows})`;
    if (jobs > 0) {
      await tx.run(sql`
        ${count(SAWS)}
        INSERT INTO saw (id, customer_id, label, tag, mount, created_at, created_by)
        SELECT 'saw-' || i, 'c-towpath', 'Tarn ' || (i % 90), 'T-' || i, 'M2', '2023-11-23T09:00:00Z', 'bench' FROM n`);
      await tx.run(sql`
      ${count(jobs)}
      INSERT INTO job (id, tag, customer_id, saw_id, state, waits, promised_for, summary, summary_key, created_at, created_by)
      SELECT 'bench-' || i, 'M-' || i, 'c-towpath', 'saw-' || CAST(1 + i % ${SAWS} AS INTEGER), iif(i % ${OPEN_SHARE} = 0, 'open', 'handed-over'), iif(i % ${OPEN_SHARE} = 0, 'to-measure', NULL), '2026-11-23', ${summary}, ${key}, '2026-11-23T09:00:00Z', 'bench' FROM n`);
    }
    await tx.run(sql`
      INSERT INTO reading (id, job_id, path, text, unit, at, "by")
      SELECT 'r-' || id, id, 'job.complaint', 'cuts to the left', 'mm', created_at, 'bench' FROM job WHERE id LIKE 'bench-%'`);
    // What was written past the store's own way has no links yet.
    await linkAllStanding(tx);
  });
  await context.store.write(async (tx) => {
    const parts = manyParts(PARTS_IN_STOCK);
    for (let i = 0; i < parts.length; i += AT_ONCE) await addStock(tx, parts.slice(i, i + AT_ONCE));
    await tx.run(sql`ANALYZE`);
  });
}
