import { desc, eq, sql } from 'drizzle-orm';
import { signOff } from '../schema';
import type { Queryable, Transaction } from '../store';

/** A verdict signed off, with everything it rested on. */
export type SignOffRecord = typeof signOff.$inferSelect;

export async function addSignOff(tx: Transaction, record: SignOffRecord): Promise<void> {
  await tx.insert(signOff).values(record);
}

/** Sign-offs of a job, newest first, without their snapshots. They stand in the order in which they were stored, whatever the clock said. */
export async function signOffsOf(
  db: Queryable,
  jobId: string,
): Promise<readonly Pick<SignOffRecord, 'id' | 'at' | 'by' | 'upToReading' | 'plan'>[]> {
  return db
    .select({ id: signOff.id, at: signOff.at, by: signOff.by, upToReading: signOff.upToReading, plan: signOff.plan })
    .from(signOff)
    .where(eq(signOff.jobId, jobId))
    .orderBy(desc(sql`rowid`));
}

/** One sign-off whole. */
export async function findSignOff(db: Queryable, id: string): Promise<SignOffRecord | null> {
  const [row] = await db.select().from(signOff).where(eq(signOff.id, id)).limit(1);
  return row ?? null;
}
