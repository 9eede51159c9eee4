import { and, asc, count, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { customer, handOver, job, saw } from '../schema';
import type { Queryable } from '../store';
import { SAW_COLUMNS, type CustomerRecord, type SawRecord } from './jobs';
import { ftsQuery, IS_SEEN } from './stock';

/** A saw as gear tells it. */
export interface GearSawRecord extends SawRecord {
  /** Since when it is offered no more. */
  readonly retiredAt: string | null;
}

/** What is read of a saw as gear tells it. */
export const GEAR_SAW = { ...SAW_COLUMNS, retiredAt: saw.retiredAt };

/** Jobs that are gone through to find the saws that were in the shop last. */
const JOBS_BACK = 400;

/** Ids of the saws that were in the shop last, the last first: those of the last few hundred jobs. */
export async function lastSaws(db: Queryable, limit: number): Promise<readonly string[]> {
  const jobs = await db
    .select({ sawId: job.sawId })
    .from(job)
    .orderBy(desc(sql`${job}.rowid`))
    .limit(JOBS_BACK);
  return [...new Set(jobs.flatMap(({ sawId }) => sawId ?? []))].slice(0, limit);
}

/** Saws with whose they are, in the order of their ids as given. */
export async function sawsById(
  db: Queryable,
  ids: readonly string[],
): Promise<readonly { readonly saw: GearSawRecord; readonly customer: CustomerRecord }[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select({ saw: GEAR_SAW, customer: { id: customer.id, name: customer.name, contact: customer.contact } })
    .from(saw)
    .innerJoin(customer, eq(saw.customerId, customer.id))
    .where(inArray(saw.id, [...ids]));
  return ids.flatMap((id) => rows.find((row) => row.saw.id === id) ?? []);
}

/** A customer's saws; two records of one saw are one. */
const ofCustomer = (customerId: string) => and(eq(saw.customerId, customerId), isNull(saw.mergedInto));

/** One page of a customer's saws, by their names; those that are offered no more last. */
export async function sawsOfCustomer(
  db: Queryable,
  customerId: string,
  page: { readonly limit: number; readonly offset: number },
): Promise<readonly GearSawRecord[]> {
  return db
    .select(GEAR_SAW)
    .from(saw)
    .where(ofCustomer(customerId))
    .orderBy(sql`${saw.retiredAt} IS NOT NULL`, asc(saw.label), asc(saw.tag), asc(saw.id))
    .limit(page.limit)
    .offset(page.offset);
}

export async function countSawsOf(db: Queryable, customerId: string): Promise<number> {
  const [row] = await db.select({ all: count() }).from(saw).where(ofCustomer(customerId));
  return row?.all ?? 0;
}

/** Rows that are gone through for a saw by its tag: of what all jobs of a customer mention, no more. */
const MOST_MENTIONS = 2000;

/** Ids of saws whose name begins with the words typed, else of those whose tag does. */
export async function sawsCalled(db: Queryable, text: string, limit: number): Promise<readonly string[]> {
  const query = ftsQuery(text);
  if (!query) return [];
  const found = async (what: string, most: number) => {
    const rows = await db.all<{ ref: string }>(
      sql`SELECT ref FROM (SELECT kind, ref FROM search WHERE search MATCH ${what} AND ${IS_SEEN} LIMIT ${most}) WHERE kind = 'saw' LIMIT ${limit}`,
    );
    return rows.map(({ ref }) => ref);
  };
  // Titles of jobs are their tags alone: few answer a saw's name.
  const named = await found(`{title} : (${query})`, -1);
  return named.length > 0 ? named : found(query, MOST_MENTIONS);
}

/** Customers whose name begins with the words typed. */
export async function findCustomers(db: Queryable, text: string, limit: number): Promise<readonly CustomerRecord[]> {
  const query = ftsQuery(text);
  if (!query) return [];
  const refs = await db.all<{ ref: string }>(
    sql`SELECT ref FROM search WHERE search MATCH ${`{title} : (${query})`} AND kind = 'customer' AND ${IS_SEEN} LIMIT ${limit}`,
  );
  if (refs.length === 0) return [];
  return db
    .select({ id: customer.id, name: customer.name, contact: customer.contact })
    .from(customer)
    .where(
      inArray(
        customer.id,
        refs.map(({ ref }) => ref),
      ),
    )
    .orderBy(asc(customer.name));
}

/** What a hand-over says of the parts that went on. */
export interface Gone {
  readonly at: string;
  readonly fitted: readonly { readonly sku: string; readonly name: string }[];
}

/** When jobs were handed over last, and which parts went on then. */
export async function goneOf(db: Queryable, jobIds: readonly string[]): Promise<ReadonlyMap<string, Gone>> {
  if (jobIds.length === 0) return new Map();
  const rows = await db
    .select({
      jobId: handOver.jobId,
      at: handOver.at,
      fitted: sql<string | null>`json_extract(${handOver.document}, '$.fitted')`,
    })
    .from(handOver)
    .where(inArray(handOver.jobId, [...jobIds]))
    .orderBy(sql`${handOver}.rowid`);
  return new Map(
    rows.map(({ jobId, at, fitted }) => [jobId, { at, fitted: JSON.parse(fitted ?? '[]') as Gone['fitted'] }]),
  );
}
