import { and, asc, count, desc, eq, inArray, isNull, notExists, sql, type SQL } from 'drizzle-orm';
import { alias, type SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { INSTRUMENT_IDS, type InstrumentId } from '../../core/quantity';
import type { Entry } from '../../core/sheet';
import { append } from '../chain/append';
import { job, reading } from '../schema';
import { OF_ALL_SHOPS } from '../shops/names';
import type { Queryable, Transaction } from '../store';
import { builtOnce } from './built-once';

/** A stored reading: an entry with who, when, and what it supersedes. */
export interface StoredReading extends Entry {
  readonly seq: number;
  readonly id: string;
  readonly jobId: string;
  readonly at: string;
  readonly by: string;
}

/** A reading to be stored. The id is made where it was typed, so that sending it twice stores it once. */
export interface NewReading extends Entry {
  readonly id: string;
  readonly jobId: string;
  readonly supersedes: string | null;
  readonly at: string;
  readonly by: string;
}

/** What came of storing a reading. */
export type Stored =
  | { readonly outcome: 'stored' }
  /** The id belongs to another reading: nothing was stored. */
  | { readonly outcome: 'id-taken' }
  /** Something stands at so many places of the job already that no more are taken: nothing was stored. */
  | { readonly outcome: 'job-full' }
  /** Somebody else has written there since: theirs is returned and nothing is overwritten. */
  | { readonly outcome: 'conflict'; readonly current: StoredReading };

type Row = typeof reading.$inferSelect;

const instrument = (name: string | null): InstrumentId | null => INSTRUMENT_IDS.find((id) => id === name) ?? null;

function fromRow({ seq, id, jobId, path, text, unit, instrument: tool, at, by }: Row): StoredReading {
  return { seq, id, jobId, path, text, unit, instrument: instrument(tool), at, by };
}

/** A reading as the store writes it into one text. */
type Written = readonly [
  seq: number,
  id: string,
  jobId: string,
  path: string,
  text: string,
  unit: 'mm' | 'in',
  instrument: string | null,
  at: string,
  by: string,
];

const fromWritten = ([seq, id, jobId, path, text, unit, tool, at, by]: Written): StoredReading => {
  return { seq, id, jobId, path, text, unit, instrument: instrument(tool), at, by };
};

/**
 * The readings that stand, at all places or at some: those that no later one supersedes, oldest first. They come as one
 * text: the driver makes an object of each row and each column, which is dearer than everything else about a page.
 */
export async function currentReadings(
  db: Queryable,
  jobIds: readonly string[],
  paths?: readonly string[],
): Promise<readonly StoredReading[]> {
  if (jobIds.length === 0) return [];
  const [jobs, places] = [JSON.stringify(jobIds), JSON.stringify(paths ?? [])];
  const [all] = await (paths ? standingAt(db) : standing(db)).execute({ jobs, places });
  return (JSON.parse(all?.written ?? '[]') as readonly Written[]).map(fromWritten);
}

/** The readings that stand at some places of the newest jobs of a saw, oldest first. */
export async function currentReadingsOfSaw(
  db: Queryable,
  saw: string,
  paths: readonly string[],
  most: number,
): Promise<readonly StoredReading[]> {
  const [all] = await standingOfSaw(db).execute({ saw, most, places: JSON.stringify(paths) });
  return (JSON.parse(all?.written ?? '[]') as readonly Written[]).map(fromWritten);
}

/** Whether a column is among those of a list that is given as JSON. */
const isAmong = (column: SQLiteColumn, list: string) =>
  sql`${column} IN (SELECT value FROM json_each(${sql.placeholder(list)}))`;

/** Whether no later reading supersedes one. */
export function isStanding(db: Queryable): SQL {
  const later = alias(reading, 'later');
  return notExists(
    db
      .select({ one: sql`1` })
      .from(later)
      .where(eq(later.supersedes, reading.id)),
  );
}

function standingReadings(db: Queryable, of: SQL, at: SQL | undefined) {
  const { seq, id, jobId, path, text, unit, instrument: tool, at: when, by } = reading;
  return db
    .select({
      written: sql<string>`json_group_array(json_array(${seq}, ${id}, ${jobId}, ${path}, ${text}, ${unit}, ${tool}, ${when}, ${by}) ORDER BY ${seq})`,
    })
    .from(reading)
    .where(and(of, at, isStanding(db)))
    .prepare();
}
const ofJobs = isAmong(reading.jobId, 'jobs');
const atPlaces = isAmong(reading.path, 'places');
const standing = builtOnce((db) => standingReadings(db, ofJobs, undefined));
const standingAt = builtOnce((db) => standingReadings(db, ofJobs, atPlaces));
const standingOfSaw = builtOnce((db) => {
  const jobs = db
    .select({ id: job.id })
    .from(job)
    .where(eq(job.sawId, sql.placeholder('saw')))
    .orderBy(desc(sql`${job}.rowid`))
    .limit(sql.placeholder('most'));
  return standingReadings(db, inArray(reading.jobId, jobs), atPlaces);
});

/** Everything ever typed at one place of a job, oldest first. */
export async function readingHistory(db: Queryable, jobId: string, path: string): Promise<readonly StoredReading[]> {
  const rows = await db
    .select()
    .from(reading)
    .where(and(eq(reading.jobId, jobId), eq(reading.path, path)))
    .orderBy(asc(reading.seq));
  return rows.map(fromRow);
}

async function currentAt(tx: Transaction, jobId: string, path: string): Promise<StoredReading | null> {
  const history = await readingHistory(tx, jobId, path);
  return history.at(-1) ?? null;
}

/** Whether what is sent again is what was stored: the same text by the same tool at the same place of the same job. */
const isSame = (stored: Row, { jobId, path, text, unit, instrument: tool }: NewReading): boolean =>
  stored.jobId === jobId &&
  stored.path === path &&
  stored.text === text &&
  stored.unit === unit &&
  stored.instrument === (tool ?? null);

/**
 * Places of a job at which something may stand: more than a sheet measured at every station with every repeat fills.
 */
export const MOST_PLACES = 4000;

async function isFull(tx: Transaction, jobId: string): Promise<boolean> {
  const [row] = await tx
    .select({ places: count() })
    .from(reading)
    .where(and(eq(reading.jobId, jobId), isNull(reading.supersedes)));
  return (row?.places ?? 0) >= MOST_PLACES;
}

/** Stores one reading, unless it is there already, or what it was based on no longer stands. */
export async function storeReading(tx: Transaction, next: NewReading): Promise<Stored> {
  const [[again], current] = await Promise.all([
    // An id is one reading's in all shops.
    tx
      .select()
      .from(reading)
      .where(and(eq(reading.id, next.id), OF_ALL_SHOPS))
      .limit(1),
    currentAt(tx, next.jobId, next.path),
  ]);
  if (again) return { outcome: isSame(again, next) ? 'stored' : 'id-taken' };
  if (current && current.id !== next.supersedes) return { outcome: 'conflict', current };
  if (!current && (await isFull(tx, next.jobId))) return { outcome: 'job-full' };
  const { id, jobId, path, text, unit, at, by } = next;
  const row = { id, jobId, path, text, unit, instrument: next.instrument ?? null, at, by };
  await append(tx, reading, [{ ...row, supersedes: current?.id ?? null }]);
  return { outcome: 'stored' };
}

/** First readings of a new job, all at once: nothing can conflict. */
export async function storeFirstReadings(tx: Transaction, readings: readonly NewReading[]): Promise<void> {
  const CHUNK = 80;
  for (let i = 0; i < readings.length; i += CHUNK) {
    const chunk = readings.slice(i, i + CHUNK).map((next) => ({ ...next, instrument: next.instrument ?? null }));
    await append(tx, reading, chunk);
  }
}

/** Number of the newest reading of a job, 0 when there is none. */
export async function lastReading(db: Queryable, jobId: string): Promise<number> {
  const [row] = await db
    .select({ last: sql<number>`coalesce(max(${reading.seq}), 0)` })
    .from(reading)
    .where(eq(reading.jobId, jobId));
  return Number(row?.last ?? 0);
}
