import { eq, sql } from 'drizzle-orm';
import { EVEN_SCATTER } from '../../core/bar';
import type { OriginSums } from '../../core/quantity';
import { testCut } from '../schema';
import type { Queryable, Transaction } from '../store';

/** Keeps the test cut of a job as its readings have it now; null where there is none, or none was foreseen. */
export async function setTestCut(
  tx: Transaction,
  jobId: string,
  cut: { readonly predicted: number; readonly measured: number } | null,
): Promise<void> {
  if (!cut) {
    await tx.delete(testCut).where(eq(testCut.jobId, jobId));
    return;
  }
  await tx
    .insert(testCut)
    .values({ jobId, ...cut })
    .onConflictDoUpdate({ target: testCut.jobId, set: cut });
}

/**
 * Sums over the test cuts of all jobs but one, weighed as `cutSums` weighs them: x what was foreseen, y what was
 * measured, mm.
 */
export async function testCutSums(db: Queryable, butOf: string): Promise<OriginSums> {
  const { predicted: x, measured: y } = testCut;
  const weight = sql`1.0 / (1.0 + ${x} * ${x} / ${EVEN_SCATTER ** 2})`;
  const [sums] = await db
    .select({
      n: sql<number>`count(*)`,
      xx: sql<number>`total(${weight} * ${x} * ${x})`,
      xy: sql<number>`total(${weight} * ${x} * ${y})`,
      yy: sql<number>`total(${weight} * ${y} * ${y})`,
    })
    .from(testCut)
    .where(sql`${testCut.jobId} <> ${butOf}`);
  return sums!;
}
