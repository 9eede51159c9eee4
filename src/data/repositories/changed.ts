import { sql } from 'drizzle-orm';
import type { Change } from '../../core/live';
import type { Queryable } from '../store';

/** What changed since a place in the order of all changes, and the place that was come to. */
export interface ChangedSince {
  readonly changes: readonly Change[];
  readonly seq: number;
  /** Another number where another store was put in its place. */
  readonly store: number;
}

/** More changes at once are not told one by one. */
const MOST_TOLD = 200;

/**
 * What changed since a place: each thing once, however often it changed. In one round trip.
 * @param since null for the place alone
 * @returns at most 201 changes: more than 200 are as good as all
 */
export async function changedSince(db: Queryable, since: number | null): Promise<ChangedSince> {
  const [row] = await db.all<{ seq: number; store: number; changes: string }>(sql`
    SELECT
      (SELECT coalesce(max(seq), 0) FROM changed) AS seq,
      (SELECT user_version FROM pragma_user_version) AS store,
      (
        SELECT json_group_array(json_object('topic', topic, 'subject', subject))
        FROM (SELECT topic, subject FROM changed WHERE seq > ${since ?? Number.MAX_SAFE_INTEGER} ORDER BY seq LIMIT ${MOST_TOLD + 1})
      ) AS changes`);
  const { seq, store, changes } = row!;
  return { seq, store, changes: JSON.parse(changes) as Change[] };
}

/** Whether so much changed that all is to be looked at anew. */
export const isAsGoodAsAll = ({ changes }: Pick<ChangedSince, 'changes'>): boolean => changes.length > MOST_TOLD;
