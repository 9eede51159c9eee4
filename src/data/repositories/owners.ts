import { sql, type SQL } from 'drizzle-orm';
import { customer, job, saw } from '../schema';
import type { Queryable } from '../store';
import type { SawRecord } from './jobs';
import { ftsQuery, IS_SEEN } from './stock';

/** A customer with the saws a job may be about. */
export interface OwnerRecord {
  readonly id: string;
  readonly name: string;
  readonly saws: readonly Pick<SawRecord, 'id' | 'label' | 'tag'>[];
}

/**
 * How many of the newest jobs are gone through for customers to offer before anything is typed: a bound, however many
 * there are.
 */
const NEWEST_JOBS = 200;

/**
 * Customers whose names have words that begin with those typed, the one called exactly so first; where nothing is
 * typed, those who came last.
 */
function called(text: string, limit: number): SQL {
  const query = ftsQuery(text);
  return query
    ? sql`SELECT ref AS id, title AS name FROM search WHERE search MATCH ${`{title} : (${query})`} AND kind = 'customer' AND ${IS_SEEN} AND ref NOT IN (SELECT id FROM ${customer} WHERE retired_at IS NOT NULL) ORDER BY title = ${text.trim()} COLLATE NOCASE DESC, title LIMIT ${limit}`
    : sql`SELECT id, name FROM ${customer} JOIN (
          SELECT customer_id, max(at) AS at FROM (SELECT customer_id, rowid AS at FROM ${job} ORDER BY rowid DESC LIMIT ${NEWEST_JOBS}) GROUP BY customer_id
        ) ON customer_id = id WHERE retired_at IS NULL ORDER BY at DESC LIMIT ${limit}`;
}

/** Finds customers by their names, with their saws by label. */
export async function findOwners(db: Queryable, text: string, limit: number): Promise<readonly OwnerRecord[]> {
  const owners = await db.all<{ id: string; name: string; saws: string }>(sql`SELECT id, name, (
      SELECT json_group_array(json_object('id', ${saw.id}, 'label', ${saw.label}, 'tag', ${saw.tag}) ORDER BY ${saw.label})
      FROM ${saw} WHERE ${saw.customerId} = owner.id AND ${saw.retiredAt} IS NULL AND ${saw.mergedInto} IS NULL
    ) AS saws FROM (${called(text, limit)}) AS owner`);
  return owners.map(({ id, name, saws }) => ({ id, name, saws: JSON.parse(saws) as OwnerRecord['saws'] }));
}
