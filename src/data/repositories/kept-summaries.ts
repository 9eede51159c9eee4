import { sql, type SQL } from 'drizzle-orm';
import { ofThisShop } from '../shops/in-shop';
import { job, testCut } from '../schema';
import type { Store, Transaction } from '../store';

/** What is kept of a job beside its readings. */
export interface KeptOfJob {
  readonly summary: unknown;
  /** Names what it was made with. */
  readonly key: string;
  /** What the job waits for on the Bench; null once it has left it. */
  readonly waits: string | null;
  /** Its test cut; null where there is none, or none was foreseen. Drift, mm. */
  readonly cut: { readonly predicted: number; readonly measured: number } | null;
  /** What it is found by beside its tag. */
  readonly text: string;
}

/** @param isStill whether the job still stands as it was looked at */
const statements = (id: string, { summary, key, waits, cut, text }: KeptOfJob, isStill: SQL): readonly SQL[] => [
  cut === null
    ? sql`DELETE FROM ${testCut} WHERE job_id = ${id} AND ${isStill}`
    : sql`
        INSERT INTO ${testCut} (job_id, predicted, measured) SELECT ${id}, ${cut.predicted}, ${cut.measured} WHERE ${isStill}
        ON CONFLICT (job_id) DO UPDATE SET predicted = excluded.predicted, measured = excluded.measured`,
  sql`UPDATE search SET body = ${text} WHERE rowid IN (SELECT id FROM search_row WHERE kind = 'job' AND ref = ${id}) AND body <> ${text} AND ${isStill}`,
  // Last: it is by this that the others see how the job stands.
  sql`
    UPDATE ${job} SET summary = ${JSON.stringify(summary)}, summary_key = ${key}, waits = ${waits}
    WHERE ${job.id} = ${id} AND ${ofThisShop(job)} AND ${isStill}`,
];

/** Keeps what a job comes to, within a write that looked at it. */
export async function keepOfJob(tx: Transaction, id: string, kept: KeptOfJob): Promise<void> {
  await Promise.all(statements(id, kept, sql`1`).map((each) => tx.run(each)));
}

/** What several jobs come to, each made of it as it stood under a key. */
export type MadeOfJobs = readonly { readonly id: string; readonly madeOf: string; readonly kept: KeptOfJob }[];

/** Jobs that go in one way: those of a page of the Bench. */
const AT_ONCE = 24;

/** Keeps what jobs come to in one way to the store, or in several where they are many, of each where it still stands as it was looked at. */
export async function keepAtOnce(store: Store, made: MadeOfJobs): Promise<void> {
  for (let i = 0; i < made.length; i += AT_ONCE)
    await store.writeAtOnce(
      made
        .slice(i, i + AT_ONCE)
        .flatMap(({ id, madeOf, kept }) =>
          statements(id, kept, sql`EXISTS (SELECT 1 FROM ${job} WHERE id = ${id} AND summary_key = ${madeOf})`),
        ),
    );
}
