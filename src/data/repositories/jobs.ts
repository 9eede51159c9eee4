import { asc, count, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { WAITS } from '../../core/reading';
import { customer, job, saw } from '../schema';
import type { Queryable, Transaction } from '../store';

export type JobState = 'open' | 'signed-off' | 'handed-over';

/** A job with whose it is and which saw. */
export interface JobRecord {
  readonly id: string;
  readonly tag: string;
  readonly state: JobState;
  readonly promisedFor: string | null;
  readonly createdAt: string;
  readonly createdBy: string;
  readonly summary: unknown;
  readonly summaryKey: string;
  /** What it waits for on the Bench; null once it was handed over. */
  readonly waits: string | null;
  readonly customer: { readonly id: string; readonly name: string; readonly contact: string };
  readonly saw: SawRecord | null;
}

export interface SawRecord {
  readonly id: string;
  readonly customerId: string;
  readonly label: string;
  readonly tag: string;
  readonly mount: string | null;
  readonly maxRpm: number | null;
}

export interface CustomerRecord {
  readonly id: string;
  readonly name: string;
  readonly contact: string;
}

interface Written {
  readonly at: string;
  readonly by: string;
}

const columns = {
  id: job.id,
  tag: job.tag,
  state: job.state,
  promisedFor: job.promisedFor,
  createdAt: job.createdAt,
  createdBy: job.createdBy,
  summary: job.summary,
  summaryKey: job.summaryKey,
  waits: job.waits,
  customer: { id: customer.id, name: customer.name, contact: customer.contact },
  saw: { id: saw.id, customerId: saw.customerId, label: saw.label, tag: saw.tag, mount: saw.mount, maxRpm: saw.maxRpm },
};

const selectJobs = (db: Queryable) =>
  db
    .select(columns)
    .from(job)
    .innerJoin(customer, eq(job.customerId, customer.id))
    .leftJoin(saw, eq(job.sawId, saw.id));

/** Which jobs a list shows; the Bench may be narrowed to what waits for one thing. */
export type JobFilter =
  | { readonly show: 'bench'; readonly waits: string | null }
  /** Jobs that have left the Bench: handed over, or signed off before there was a hand-over. */
  | { readonly show: 'gone' }
  | { readonly show: 'customer'; readonly customerId: string }
  | { readonly show: 'saw'; readonly sawId: string };

function condition(filter: JobFilter) {
  switch (filter.show) {
    case 'bench':
      return filter.waits === null ? isNotNull(job.waits) : eq(job.waits, filter.waits);
    case 'gone':
      return isNull(job.waits);
    case 'customer':
      return eq(job.customerId, filter.customerId);
    case 'saw':
      return eq(job.sawId, filter.sawId);
  }
}

/** The order in which jobs were taken in, whatever the clock said. */
const takenIn = sql`${job}.rowid`;

/** What jobs wait for, in the order of the work. */
const inOrderOfWork = sql`CASE ${job.waits} ${sql.join(
  WAITS.map((each, i) => sql`WHEN ${each} THEN ${i}`),
  sql` `,
)} END`;

/** One page of jobs: those on the Bench by what they wait for and the day they are promised for, all others newest first. */
export async function listJobs(
  db: Queryable,
  filter: JobFilter,
  page: { limit: number; offset: number },
): Promise<readonly JobRecord[]> {
  const order = filter.show === 'bench' ? [inOrderOfWork, asc(job.promisedFor), asc(takenIn)] : [desc(takenIn)];
  return selectJobs(db)
    .where(condition(filter))
    .orderBy(...order)
    .limit(page.limit)
    .offset(page.offset);
}

/** How many jobs a list has in all. */
export async function countJobs(db: Queryable, filter: JobFilter): Promise<number> {
  const [row] = await db.select({ all: count() }).from(job).where(condition(filter));
  return row?.all ?? 0;
}

/** How many jobs on the Bench wait for each thing. */
export async function countWaiting(db: Queryable): Promise<ReadonlyMap<string, number>> {
  const rows = await db
    .select({ waits: job.waits, all: count() })
    .from(job)
    .where(isNotNull(job.waits))
    .groupBy(job.waits);
  return new Map(rows.map(({ waits, all }) => [waits!, all]));
}

export async function findJob(db: Queryable, id: string): Promise<JobRecord | null> {
  const [row] = await selectJobs(db).where(eq(job.id, id)).limit(1);
  return row ?? null;
}

export interface NewJob extends Written {
  readonly id: string;
  readonly tag: string;
  readonly customerId: string;
  readonly sawId: string | null;
  readonly promisedFor: string | null;
}

export async function addJob(tx: Transaction, { at, by, ...rest }: NewJob): Promise<void> {
  await tx.insert(job).values({ ...rest, createdAt: at, createdBy: by });
}

/** The next free tag: letters and a running number, `L-0431`. */
export async function nextTag(tx: Transaction): Promise<string> {
  const [row] = await tx
    .select({ last: sql<number | null>`max(cast(substr(${job.tag}, 3) as integer))` })
    .from(job)
    .where(sql`${job.tag} glob 'L-[0-9]*'`);
  return `L-${String(Number(row?.last ?? 0) + 1).padStart(4, '0')}`;
}

/** What the Bench shows of a job, made with these rules. */
export interface KeptSummary {
  readonly summary: unknown;
  readonly key: string;
  readonly waits: string | null;
}

export async function setSummary(tx: Transaction, id: string, { key, ...kept }: KeptSummary): Promise<void> {
  await tx
    .update(job)
    .set({ ...kept, summaryKey: key })
    .where(eq(job.id, id));
}

export async function setState(tx: Transaction, id: string, state: JobState): Promise<void> {
  await tx.update(job).set({ state }).where(eq(job.id, id));
}

export async function addCustomer(tx: Transaction, { at, by, ...rest }: CustomerRecord & Written): Promise<void> {
  await tx.insert(customer).values({ ...rest, createdAt: at, createdBy: by });
}

/** The first customers by name. */
export async function listCustomers(db: Queryable, limit: number): Promise<readonly CustomerRecord[]> {
  return db
    .select({ id: customer.id, name: customer.name, contact: customer.contact })
    .from(customer)
    .orderBy(asc(customer.name))
    .limit(limit);
}

export async function findCustomer(db: Queryable, id: string): Promise<CustomerRecord | null> {
  const [row] = await db
    .select({ id: customer.id, name: customer.name, contact: customer.contact })
    .from(customer)
    .where(eq(customer.id, id))
    .limit(1);
  return row ?? null;
}

/** A customer of exactly this name, whatever its capitals. */
export async function findCustomerByName(db: Queryable, name: string): Promise<CustomerRecord | null> {
  const [row] = await db
    .select({ id: customer.id, name: customer.name, contact: customer.contact })
    .from(customer)
    .where(sql`lower(${customer.name}) = lower(${name})`)
    .limit(1);
  return row ?? null;
}

export async function addSaw(tx: Transaction, { at, by, ...rest }: SawRecord & Written): Promise<void> {
  await tx.insert(saw).values({ ...rest, createdAt: at, createdBy: by });
}

export async function sawsOf(db: Queryable, customerIds: readonly string[]): Promise<readonly SawRecord[]> {
  if (customerIds.length === 0) return [];
  return db
    .select(columns.saw)
    .from(saw)
    .where(inArray(saw.customerId, [...customerIds]))
    .orderBy(asc(saw.label));
}

export async function findSaw(db: Queryable, id: string): Promise<SawRecord | null> {
  const [row] = await db.select(columns.saw).from(saw).where(eq(saw.id, id)).limit(1);
  return row ?? null;
}
