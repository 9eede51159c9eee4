import { desc, eq, sql } from 'drizzle-orm';
import { append } from '../chain/append';
import { signOff } from '../schema';
import type { Queryable, Transaction } from '../store';
import { builtOnce } from './built-once';

/** A verdict signed off, with everything it rested on. */
export type SignOffRecord = typeof signOff.$inferSelect;

export async function addSignOff(tx: Transaction, record: SignOffRecord): Promise<void> {
  await append(tx, signOff, [record]);
}

/** A sign-off without its snapshot: who, when, what was chosen, and its verdicts as JSON. */
export type SignedRecord = Pick<SignOffRecord, 'id' | 'at' | 'by' | 'upToReading' | 'plan'> & {
  readonly verdicts: string;
};

/**
 * Sign-offs of a job, newest first, without their snapshots. They stand in the order in which they were stored,
 * whatever the clock said.
 */
export const signOffsOf = (db: Queryable, jobId: string): Promise<readonly SignedRecord[]> =>
  signOffsOfJob(db).execute({ jobId });

const signOffsOfJob = builtOnce((db) =>
  db
    .select({
      verdicts: sql<string>`json_extract(${signOff.assessment}, '$.verdicts')`,
      id: signOff.id,
      at: signOff.at,
      by: signOff.by,
      upToReading: signOff.upToReading,
      plan: signOff.plan,
    })
    .from(signOff)
    .where(eq(signOff.jobId, sql.placeholder('jobId')))
    .orderBy(desc(sql`rowid`))
    .prepare(),
);

/** One sign-off whole. */
export async function findSignOff(db: Queryable, id: string): Promise<SignOffRecord | null> {
  const [row] = await db.select().from(signOff).where(eq(signOff.id, id)).limit(1);
  return row ?? null;
}
