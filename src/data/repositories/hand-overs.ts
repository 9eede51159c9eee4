import { and, desc, eq, isNotNull, sql } from 'drizzle-orm';
import { append } from '../chain/append';
import { handOver } from '../schema';
import type { Queryable, Transaction } from '../store';

export type HandOverRecord = typeof handOver.$inferSelect;

export async function addHandOver(tx: Transaction, record: HandOverRecord): Promise<void> {
  await append(tx, handOver, [record]);
}

/** The newest hand-over of a job; null where it was never handed over. */
export async function lastHandOver(db: Queryable, jobId: string): Promise<HandOverRecord | null> {
  const [row] = await db
    .select()
    .from(handOver)
    .where(eq(handOver.jobId, jobId))
    .orderBy(desc(sql`rowid`))
    .limit(1);
  return row ?? null;
}

/** When a job was handed over last; null where it never was. */
export async function lastHandOverAt(db: Queryable, jobId: string): Promise<string | null> {
  const [row] = await db
    .select({ at: handOver.at })
    .from(handOver)
    .where(eq(handOver.jobId, jobId))
    .orderBy(desc(sql`rowid`))
    .limit(1);
  return row?.at ?? null;
}

/** One hand-over; null where there is none such. */
export async function handOverById(db: Queryable, id: string): Promise<HandOverRecord | null> {
  const [row] = await db.select().from(handOver).where(eq(handOver.id, id)).limit(1);
  return row ?? null;
}

/** Hand-overs of a job whose papers were kept, newest first. */
export async function givenHandOvers(
  db: Queryable,
  jobId: string,
): Promise<readonly Pick<HandOverRecord, 'id' | 'at' | 'by'>[]> {
  return db
    .select({ id: handOver.id, at: handOver.at, by: handOver.by })
    .from(handOver)
    .where(and(eq(handOver.jobId, jobId), isNotNull(handOver.papers)))
    .orderBy(desc(sql`rowid`));
}

/** A visit that is due: whose, which saw, and the job that it follows. */
export interface DueVisit {
  readonly jobId: string;
  readonly tag: string;
  readonly day: string;
  readonly customer: string;
  readonly saw: string | null;
}

/**
 * Visits due between two days, the longest due first: of each job the newest hand-over, and of each saw only where no
 * later job has brought it back.
 * @param from ISO date: who is due longer than that has gone elsewhere
 */
export async function dueVisits(
  db: Queryable,
  from: string,
  until: string,
  limit: number,
): Promise<readonly DueVisit[]> {
  // One text for each: the driver makes an object of each column.
  const due = await db.all<{ visit: string }>(sql`
    SELECT json_object('jobId', j.id, 'tag', j.tag, 'day', h.next_visit, 'customer', c.name, 'saw', nullif(trim(s.label || ' ' || s.tag), '')) AS visit
    FROM hand_over h JOIN job j ON j.id = h.job_id JOIN customer c ON c.id = j.customer_id LEFT JOIN saw s ON s.id = j.saw_id
    WHERE h.next_visit BETWEEN ${from} AND ${until} AND j.state = 'handed-over'
      AND NOT EXISTS (SELECT 1 FROM hand_over later WHERE later.job_id = h.job_id AND later.rowid > h.rowid)
      AND NOT EXISTS (SELECT 1 FROM job again WHERE again.saw_id = j.saw_id AND again.rowid > j.rowid)
    ORDER BY h.next_visit, h.rowid LIMIT ${limit}`);
  return due.map(({ visit }) => JSON.parse(visit) as DueVisit);
}
