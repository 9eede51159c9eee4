import { sql } from 'drizzle-orm';
import { DEFAULT_SCHOOLS } from '../../src/core/schools';
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

const NOTHING_SIGNED = { signedOff: false, choices: null, handedOver: false, lacksParts: false, plan: null, skus: [] };

/** Fills a store with the demo, a large shelf, and so many jobs on top, one in a thousand of them open. */
export async function fillStore(context: Context, jobs: number): Promise<void> {
  await loadDemo(context);
  const summary = JSON.stringify(summarise([], RULES, NOTHING_SIGNED).summary);
  const key = summaryKey(RULES);
  await context.store.write(async (tx) => {
    await tx.run(sql`
      WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${jobs})
      INSERT INTO job (id, tag, customer_id, state, waits, promised_for, summary, summary_key, created_at, created_by)
      SELECT 'bench-' || i, 'M-' || i, 'c-towpath', iif(i % ${OPEN_SHARE} = 0, 'open', 'handed-over'), iif(i % ${OPEN_SHARE} = 0, 'to-measure', NULL), '2026-11-23', ${summary}, ${key}, '2026-11-23T09:00:00Z', 'bench' FROM n`);
    await tx.run(sql`
      INSERT INTO reading (id, job_id, path, text, unit, at, "by")
      SELECT 'r-' || id, id, 'job.complaint', 'cuts to the left', 'mm', created_at, 'bench' FROM job WHERE id LIKE 'bench-%'`);
    // What was written past the store's own way has no links yet.
    await linkAllStanding(tx);
    const parts = manyParts(PARTS_IN_STOCK);
    for (let i = 0; i < parts.length; i += AT_ONCE) await addStock(tx, parts.slice(i, i + AT_ONCE));
    await tx.run(sql`ANALYZE`);
  });
}
