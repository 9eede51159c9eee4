import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { append } from '../../src/data/chain/append';
import { linkAllStanding } from '../../src/data/chain/begin';
import { verifyRecords } from '../../src/data/keeping/records';
import { bringUpToDate } from '../../src/data/migrate';
import { reading } from '../../src/data/schema';
import { openStore } from '../../src/data/store';
import type { Context } from '../../src/server/context';
import { loadDemo } from '../../src/server/demo';
import { putReadings } from '../../src/server/use-cases/jobs';
import { quantile, type Measured } from './table';

/** Writes of each way, in turn: what disturbs the machine disturbs all of them alike. */
const WRITES = 400;
/** Records of the shop whose chain is gone through. */
const MANY = 1_000_000;
/** A reading may cost so much more for its link. */
const MOST_FOR_A_LINK = 0.1;

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const begun = performance.now();
  await work();
  return performance.now() - begun;
};

/** What a link adds to a reading, against all that storing the reading takes. */
async function ofALink(context: Context, jobId: string): Promise<Measured[]> {
  const by = 'Tam';
  const at = context.now().toISOString();
  const row = () => {
    const id = context.newId();
    return { id, jobId, path: `bench.${id}`, text: '8', unit: 'mm' as const, instrument: null, supersedes: null };
  };
  const ways = {
    bare: () =>
      context.store.write((tx) =>
        tx
          .insert(reading)
          .values({ ...row(), at, by })
          .returning(),
      ),
    linked: () => context.store.write((tx) => append(tx, reading, [{ ...row(), at, by }])),
    whole: () => putReadings(context, jobId, { by, readings: [row()] }),
  };
  const times = { bare: [] as number[], linked: [] as number[], whole: [] as number[] };
  for (let i = 0; i < WRITES; i += 1)
    for (const way of ['bare', 'linked', 'whole'] as const) times[way].push(await timed(ways[way]));
  const ms = (way: keyof typeof times) => quantile(times[way], 0.5);
  return [
    { what: 'a reading stored, all that belongs to it, median', value: ms('whole'), budget: NaN, unit: 'ms' },
    { what: 'a reading’s row and its link, median', value: ms('linked'), budget: NaN, unit: 'ms' },
    { what: 'a reading’s row alone, median', value: ms('bare'), budget: NaN, unit: 'ms' },
    {
      what: 'the link, as a share of a reading stored without it',
      value: (ms('linked') - ms('bare')) / (ms('whole') - (ms('linked') - ms('bare'))),
      budget: MOST_FOR_A_LINK,
      unit: '×',
    },
  ];
}

/** Fills a job with a shop’s many readings, and links them. */
async function fill({ store }: Context, jobId: string): Promise<void> {
  await store.write(async (tx) => {
    await tx.run(sql`
      WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${MANY})
      INSERT INTO reading (id, job_id, path, text, unit, at, "by")
      SELECT 'many-' || i, ${jobId}, 'bench.' || i, '8.1', 'mm', '2026-11-23T09:00:00Z', 'bench' FROM n`);
    await linkAllStanding(tx);
  });
}

/** What the chain of records costs: a reading, and a look through a million of them. */
export async function chainOfRecords(folder: string): Promise<Measured[]> {
  const file = join(folder, 'records.db');
  const store = openStore(`file:${file}`);
  await bringUpToDate(store);
  const context: Context = { store, now: () => new Date(), newId: () => crypto.randomUUID() };
  await loadDemo(context);
  const [job] = await store.db.all<{ id: string }>(sql`SELECT id FROM job WHERE state = 'open' LIMIT 1`);
  const link = await ofALink(context, job!.id);
  await fill(context, job!.id);
  store.close();
  let misfits = 0;
  const took = await timed(async () => (misfits = verifyRecords(file).misfits.length));
  const records = MANY.toLocaleString('en');
  return [
    ...link,
    { what: `${records} records gone through`, value: took / 1000, budget: NaN, unit: 's' },
    { what: `the same: misfits`, value: misfits, budget: 0.5, unit: '' },
  ];
}
