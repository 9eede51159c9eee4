import { sql } from 'drizzle-orm';
import { EVEN_SCATTER } from '../../core/bar';
import type { OriginSums } from '../../core/quantity';
import { testCut } from '../schema';
import type { Queryable } from '../store';

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
