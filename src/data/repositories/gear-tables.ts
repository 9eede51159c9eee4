import { and, count, desc, eq, isNull, or, sql, type SQL } from 'drizzle-orm';
import { customer, job, saw } from '../schema';
import type { Queryable } from '../store';
import { GEAR_SAW, type GearSawRecord } from './gear';
import type { CustomerRecord } from './jobs';
import { ftsQuery } from './stock';

/** Which saws or customers a table shows. */
export interface GearFilter {
  /** Words that its name begins with; of a saw its tag, too, and whose it is. */
  readonly text: string;
  /** Whether those that are offered no more are among them. */
  readonly retired: boolean;
}

/** What the search finds is held against its kind; the other way round each row of the kind would be searched for. */
const beginsWith = (kind: 'saw' | 'customer', query: string): SQL =>
  sql`(SELECT search_row.ref FROM search CROSS JOIN search_row ON search_row.id = search.rowid AND search_row.kind = ${kind} WHERE search MATCH ${query})`;

function sawsThat({ text, retired }: GearFilter) {
  const query = ftsQuery(text);
  return and(
    isNull(saw.mergedInto),
    retired ? undefined : isNull(saw.retiredAt),
    query
      ? or(
          sql`+${saw.id} IN ${beginsWith('saw', query)}`,
          sql`+${saw.customerId} IN ${beginsWith('customer', `{title} : (${query})`)}`,
        )
      : undefined,
  );
}

/** A saw as a table of all of them has it. */
export interface ListedSaw {
  readonly saw: GearSawRecord;
  readonly customer: Pick<CustomerRecord, 'id' | 'name'>;
  readonly jobs: number;
  readonly last: { readonly jobId: string; readonly tag: string } | null;
}

/** Saws of everybody, those that were entered last first. */
export async function listSaws(
  db: Queryable,
  filter: GearFilter,
  page: { readonly limit: number; readonly offset: number },
): Promise<readonly ListedSaw[]> {
  // The index of a saw's jobs tells their number and the last; nothing that a job keeps is read for it.
  const rows = await db
    .select({
      ...GEAR_SAW,
      customer: customer.name,
      jobs: sql<number>`(SELECT count(*) FROM job WHERE job.saw_id = ${saw}.id)`,
      lastId: job.id,
      lastTag: job.tag,
    })
    .from(saw)
    .innerJoin(customer, eq(saw.customerId, customer.id))
    .leftJoin(job, sql`${job}.rowid = (SELECT max(theirs.rowid) FROM job AS theirs WHERE theirs.saw_id = ${saw}.id)`)
    .where(sawsThat(filter))
    .orderBy(desc(sql`${saw}.rowid`))
    .limit(page.limit)
    .offset(page.offset);
  return rows.map(({ customer: name, jobs, lastId, lastTag, ...its }) => ({
    saw: its,
    customer: { id: its.customerId, name },
    jobs,
    last: lastId === null || lastTag === null ? null : { jobId: lastId, tag: lastTag },
  }));
}

export async function countSaws(db: Queryable, filter: GearFilter): Promise<number> {
  const [row] = await db.select({ all: count() }).from(saw).where(sawsThat(filter));
  return row?.all ?? 0;
}

function customersThat({ text, retired }: GearFilter) {
  const query = ftsQuery(text);
  return and(
    retired ? undefined : isNull(customer.retiredAt),
    query ? sql`+${customer.id} IN ${beginsWith('customer', query)}` : undefined,
  );
}

/** A customer as a table of all of them has it. */
export interface ListedCustomer extends CustomerRecord {
  readonly retiredAt: string | null;
  readonly saws: number;
}

/** All customers, those that were entered last first. */
export async function listCustomers(
  db: Queryable,
  filter: GearFilter,
  page: { readonly limit: number; readonly offset: number },
): Promise<readonly ListedCustomer[]> {
  const { id, name, contact, retiredAt } = customer;
  return db
    .select({
      ...{ id, name, contact, retiredAt },
      saws: sql<number>`(SELECT count(*) FROM saw WHERE saw.customer_id = ${customer}.id AND saw.merged_into IS NULL)`,
    })
    .from(customer)
    .where(customersThat(filter))
    .orderBy(desc(sql`${customer}.rowid`))
    .limit(page.limit)
    .offset(page.offset);
}

export const countCustomers = (db: Queryable, filter: GearFilter): Promise<number> =>
  db.$count(customer, customersThat(filter));
