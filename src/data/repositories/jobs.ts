import { and, asc, Column, count, desc, eq, gte, inArray, is, isNotNull, isNull, lt, sql, type SQL } from 'drizzle-orm';
import { WAITS } from '../../core/reading';
import { isSameName } from '../../core/same-name';
import type { ReadingPath } from '../../core/sheet';
import { ofThisShop } from '../shops/in-shop';
import { THIS_SHOP } from '../shops/names';
import { customer, job, reading, saw } from '../schema';
import type { Queryable, Transaction } from '../store';
import { builtOnce } from './built-once';
import { isStanding } from './readings';
import { ftsQuery, IS_SEEN } from './stock';

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

interface Columns {
  readonly [name: string]: Column | Columns;
}

/** What is known of a saw, as columns. */
export const SAW_COLUMNS = {
  id: saw.id,
  customerId: saw.customerId,
  label: saw.label,
  tag: saw.tag,
  mount: saw.mount,
  maxRpm: saw.maxRpm,
};

const COLUMNS = {
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
  saw: SAW_COLUMNS,
} satisfies Columns;

/**
 * Columns as one text: the driver makes an object of each row and each column, which is dearer than all else about a
 * list.
 */
const asOneText = (columns: Columns): SQL<string> => {
  const value = (column: Column | Columns): SQL => {
    if (!is(column, Column)) return asOneText(column);
    return column.dataType === 'json' ? sql`json(${column})` : sql`${column}`;
  };
  const members = Object.entries(columns).map(([name, column]) => sql`${sql.raw(`'${name}'`)}, ${value(column)}`);
  return sql<string>`json_object(${sql.join(members, sql`, `)})`;
};

function fromText(text: string): JobRecord {
  const { saw: its, ...read } = JSON.parse(text) as JobRecord & { readonly saw: { readonly id: string | null } };
  return { ...read, saw: its.id === null ? null : its };
}

/** Where the customer’s words stand on a sheet. */
const COMPLAINT: ReadingPath = 'job.complaint';

/** What the customer says, where it stands now. */
const complaint = (db: Queryable) =>
  sql<string | null>`${db
    .select({ text: reading.text })
    .from(reading)
    .where(and(eq(reading.jobId, job.id), eq(reading.path, COMPLAINT), isStanding(db)))
    .orderBy(desc(reading.seq))
    .limit(1)}`;

const selectJobs = <Beside extends Record<string, SQL>>(db: Queryable, beside: Beside) =>
  db
    .select({ written: asOneText(COLUMNS), ...beside })
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

/** What each list is of, with a placeholder for whose it is or what its jobs wait for. */
const CONDITIONS = {
  bench: isNotNull(job.waits),
  waiting: eq(job.waits, sql.placeholder('of')),
  gone: isNull(job.waits),
  customer: eq(job.customerId, sql.placeholder('of')),
  saw: eq(job.sawId, sql.placeholder('of')),
};
type List = keyof typeof CONDITIONS;

/** The list that a filter asks for, and whose it is. */
function asked(filter: JobFilter): { readonly list: List; readonly of: string | null } {
  switch (filter.show) {
    case 'bench':
      return { list: filter.waits === null ? 'bench' : 'waiting', of: filter.waits };
    case 'gone':
      return { list: 'gone', of: null };
    case 'customer':
      return { list: 'customer', of: filter.customerId };
    case 'saw':
      return { list: 'saw', of: filter.sawId };
  }
}

/** The order in which jobs were taken in, whatever the clock said. */
const takenIn = sql`${job}.rowid`;

/** What jobs wait for, in the order of the work. */
const inOrderOfWork = sql`CASE ${job.waits} ${sql.join(
  WAITS.map((each, i) => sql`WHEN ${each} THEN ${i}`),
  sql` `,
)} END`;

const ordered = (list: List) =>
  list === 'bench' || list === 'waiting' ? [inOrderOfWork, asc(job.promisedFor), asc(takenIn)] : [desc(takenIn)];

const pageOf = (list: List) =>
  builtOnce((db) =>
    selectJobs(db, { complaint: complaint(db) })
      .where(CONDITIONS[list])
      .orderBy(...ordered(list))
      .limit(sql.placeholder('limit'))
      .offset(sql.placeholder('offset'))
      .prepare(),
  );
const countOf = (list: List) =>
  builtOnce((db) => db.select({ all: count() }).from(job).where(CONDITIONS[list]).prepare());

const eachList = <T>(of: (list: List) => T): Readonly<Record<List, T>> =>
  Object.fromEntries((Object.keys(CONDITIONS) as List[]).map((list) => [list, of(list)])) as Record<List, T>;
const PAGES = eachList(pageOf);
const COUNTS = eachList(countOf);

/** A job of a list, with what its customer says. */
export type ListedJob = JobRecord & { readonly complaint: string };

/**
 * One page of jobs: those on the Bench by what they wait for and the day they are promised for, all others newest
 * first.
 */
export async function listJobs(
  db: Queryable,
  filter: JobFilter,
  page: { limit: number; offset: number },
): Promise<readonly ListedJob[]> {
  const { list, of } = asked(filter);
  const rows = await PAGES[list](db).execute({ of, ...page });
  return rows.map(({ written, complaint: said }) => ({ ...fromText(written), complaint: said ?? '' }));
}

const countAll = builtOnce((db) => db.select({ all: count() }).from(job).prepare());

/** How many jobs a list has in all. */
export async function countJobs(db: Queryable, filter: JobFilter): Promise<number> {
  const { list, of } = asked(filter);
  // Those that have gone are nearly all, and no index has them: those on the Bench are counted at once.
  const [row] = await (list === 'gone' ? COUNTS.bench(db) : COUNTS[list](db)).execute({ of });
  const found = row?.all ?? 0;
  return list === 'gone' ? ((await countAll(db).execute())[0]?.all ?? 0) - found : found;
}

/** Moments, ISO 8601: from the first until before the second. */
export interface Between {
  readonly from: string;
  readonly before: string;
}

const takenInBetween = ({ from, before }: Between) => and(gte(job.createdAt, from), lt(job.createdAt, before));

/** How many jobs were taken in between two moments, by how they stand. */
export async function countBetween(db: Queryable, between: Between): Promise<ReadonlyMap<JobState, number>> {
  const rows = await db
    .select({ state: job.state, all: count() })
    .from(job)
    .where(takenInBetween(between))
    .groupBy(job.state);
  return new Map(rows.map(({ state, all }) => [state, all]));
}

/** The newest jobs that were taken in between two moments. */
export async function jobsBetween(db: Queryable, between: Between, limit: number): Promise<readonly JobRecord[]> {
  const rows = await selectJobs(db, {}).where(takenInBetween(between)).orderBy(desc(takenIn)).limit(limit);
  return rows.map(({ written }) => fromText(written));
}

const waiting = builtOnce((db) =>
  db.select({ waits: job.waits, all: count() }).from(job).where(isNotNull(job.waits)).groupBy(job.waits).prepare(),
);

/** How many jobs on the Bench wait for each thing. */
export async function countWaiting(db: Queryable): Promise<ReadonlyMap<string, number>> {
  const rows = await waiting(db).execute();
  return new Map(rows.map(({ waits, all }) => [waits!, all]));
}

const jobById = builtOnce((db) =>
  selectJobs(db, {})
    .where(eq(job.id, sql.placeholder('id')))
    .limit(1)
    .prepare(),
);

export async function findJob(db: Queryable, id: string): Promise<JobRecord | null> {
  const [row] = await jobById(db).execute({ id });
  return row ? fromText(row.written) : null;
}

/** Tags of jobs, by their ids. */
export async function tagsOfJobs(db: Queryable, ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select({ id: job.id, tag: job.tag })
    .from(job)
    .where(inArray(job.id, [...ids]));
  return new Map(rows.map(({ id, tag }) => [id, tag]));
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

export async function setState(tx: Transaction, id: string, state: JobState): Promise<void> {
  await tx
    .update(job)
    .set({ state })
    .where(and(eq(job.id, id), ofThisShop(job)));
}

export async function addCustomer(tx: Transaction, { at, by, ...rest }: CustomerRecord & Written): Promise<void> {
  await tx.insert(customer).values({ ...rest, createdAt: at, createdBy: by });
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
  const query = ftsQuery(name);
  // The index knows words and no signs: a name of signs alone is looked for as it is written.
  const alike = query
    ? sql`${customer.id} IN (SELECT ref FROM search WHERE search MATCH ${`{title} : (${query})`} AND kind = 'customer' AND ${IS_SEEN})`
    : eq(customer.name, name);
  const rows = await db
    .select({ id: customer.id, name: customer.name, contact: customer.contact })
    .from(customer)
    .where(alike);
  return rows.find((row) => isSameName(row.name, name)) ?? null;
}

/** A saw is of its customer's shop, whichever shop enters it. */
export async function addSaw(tx: Transaction, { at, by, ...rest }: SawRecord & Written): Promise<void> {
  const whose = sql<string>`coalesce((SELECT ${customer.shopId} FROM ${customer} WHERE ${customer.id} = ${rest.customerId}), ${THIS_SHOP})`;
  await tx.insert(saw).values({ ...rest, createdAt: at, createdBy: by, shopId: whose });
}

/** A saw; of a record that turned out to be one with another, that other. */
export async function findSaw(db: Queryable, id: string): Promise<SawRecord | null> {
  const [row] = await db
    .select({ ...COLUMNS.saw, mergedInto: saw.mergedInto })
    .from(saw)
    .where(eq(saw.id, id))
    .limit(1);
  if (!row) return null;
  const { mergedInto, ...found } = row;
  return mergedInto === null ? found : findSaw(db, mergedInto);
}
