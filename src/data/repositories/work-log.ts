import { sql } from 'drizzle-orm';
import { WORK_PLACES } from '../../core/judge';
import type { Logged } from '../../core/life';
import { OPERATIONS } from '../../core/sheet';
import type { Queryable } from '../store';

type Written = readonly [jobId: string, place: string | null, done: string | null, at: string, by: string];

const fromWritten = ([jobId, place, done, at, by]: Written): Logged => {
  const words = (done ?? '').split(', ');
  const work = place === null ? null : { place, done: OPERATIONS.filter((operation) => words.includes(operation)) };
  return { jobId, work, at, by };
};

/**
 * When work on some jobs was ticked off, in the order in which it was written; of everything else only what the same
 * person wrote right before it.
 */
export async function workLog(db: Queryable, jobIds: readonly string[]): Promise<readonly Logged[]> {
  if (jobIds.length === 0) return [];
  const { written } = await db.get<{ written: string }>(sql`
    SELECT json_group_array(json_array(job_id, CASE WHEN is_work THEN path END, CASE WHEN is_work THEN text END, at, "by")
      ORDER BY seq) AS written
    FROM (
      SELECT *, LEAD(is_work, 1, 0) OVER (PARTITION BY "by" ORDER BY seq) AS before_work
      FROM (
        SELECT seq, job_id, path, text, at, "by",
          path IN (SELECT value FROM json_each(${JSON.stringify(WORK_PLACES)})) AS is_work
        FROM reading
        WHERE job_id IN (SELECT value FROM json_each(${JSON.stringify(jobIds)}))
      )
    )
    WHERE is_work OR before_work
  `);
  return (JSON.parse(written) as readonly Written[]).map(fromWritten);
}
