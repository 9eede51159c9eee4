import { sql, type SQL } from 'drizzle-orm';
import { linkAfter } from '../chain/append';
import { nameOf, storedRow } from '../chain/chained';
import { contentOf, NO_HEAD, type Head } from '../chain/link';
import { ofThisShop } from '../shops/in-shop';
import { OF_ALL_SHOPS } from '../shops/names';
import { chainLink, job, reading } from '../schema';
import type { Store } from '../store';
import { MOST_PLACES, type NewReading } from './readings';

/** How far a store had come when it was last heard of. */
interface Reached {
  readonly head: Head;
  /** The number that the newest reading of all has. */
  readonly seq: number;
}

/** What each store was last heard to have come to: a guess, which the store itself checks. */
const reached = new WeakMap<Store['whole'], Reached>();

/** What the store says in the same breath. */
interface Answer {
  readonly seq: number;
  readonly headSeq: number;
  readonly headHash: string;
  readonly isStored: number;
  readonly last: number;
}

/** Guesses that are made: the first may be stale, the second is what the store said a moment ago. */
const GUESSES = 2;

/** What a job’s summary is marked with until somebody makes it anew: each mark is another. */
export const staleMark = (readingId: string): string => `after:${readingId}`;

/**
 * Stores readings of a job in one way to the store and back: all conditions go with them, and so do their links in the
 * chain of records. All of them are stored, or none. The job’s summary is marked as stale.
 * @param readings of one job, each at another place of it
 * @returns the number of the job’s newest reading; null where one condition does not hold, or a guess fails twice: then
 * it is gone through step by step, which tells what came of each
 */
export async function storeAtOnce(store: Store, readings: readonly NewReading[]): Promise<number | null> {
  const [first] = readings;
  const places = new Set(readings.map(({ path }) => path));
  const ids = new Set(readings.map(({ id }) => id));
  if (!first || places.size < readings.length || ids.size < readings.length) return null;
  for (let guess = 0; guess < GUESSES; guess += 1) {
    const from = reached.get(store.whole) ?? { head: NO_HEAD, seq: 0 };
    const answers = await store.writeAtOnce(statements(readings, from));
    const { seq, headSeq, headHash, isStored, last } = answers.at(-1)![0] as Answer;
    reached.set(store.whole, { seq, head: { seq: headSeq, hash: headHash } });
    if (isStored) return last;
    // What was guessed was so: something else does not hold.
    if (from.seq === seq && from.head.hash === headHash) return null;
  }
  return null;
}

/** The readings as rows that follow what the store has come to, and their links. */
function following(readings: readonly NewReading[], { head, seq }: Reached) {
  const name = nameOf(reading);
  let last = head;
  const rows = readings.map(({ instrument, ...next }, i) =>
    storedRow(reading, { ...next, instrument: instrument ?? null, seq: seq + 1 + i }),
  );
  const links = rows.map((row) => {
    last = linkAfter(last, { record: name.record, key: String(row[name.key]) }, contentOf(row));
    return last;
  });
  return { rows, links };
}

const NUMBERS = sql`(SELECT coalesce(max(seq), 0) FROM sqlite_sequence WHERE name = 'reading')`;
const HEAD = sql`(SELECT max(seq) FROM ${chainLink})`;
const HASH = sql`(SELECT hash FROM ${chainLink} ORDER BY seq DESC LIMIT 1)`;

function statements(readings: readonly NewReading[], from: Reached): readonly SQL[] {
  const { rows, links } = following(readings, from);
  const [{ jobId }] = readings as readonly [NewReading];
  const [{ seq, id }, all] = [rows[0]!, JSON.stringify(rows)];
  const areWritten = sql`EXISTS (SELECT 1 FROM ${reading} WHERE seq = ${seq} AND id = ${id})`;
  // An answer may have been lost before: what that write stored is no doing of this one.
  const areLinked = sql`${HASH} = ${links.at(-1)!.hash}`;
  const its = (name: string) => sql.raw(`next.value ->> '${name}'`);
  const columns = Object.keys(rows[0]!);
  const standsThere = sql`(SELECT r.id FROM ${reading} AS r WHERE r.job_id = ${jobId} AND r.path = ${its('path')} ORDER BY r.seq DESC LIMIT 1)`;
  return [
    sql`
      INSERT INTO ${reading} (${sql.raw(columns.map((name) => `"${name}"`).join(', '))})
      SELECT ${sql.join(columns.map(its), sql`, `)} FROM json_each(${all}) AS next
      WHERE ${NUMBERS} = ${from.seq} AND ${HEAD} = ${from.head.seq} AND ${HASH} = ${from.head.hash}
        AND EXISTS (SELECT 1 FROM ${job} WHERE id = ${jobId} AND ${ofThisShop(job)} AND state <> 'handed-over')
        -- An id is one reading's in all shops.
        AND ${OF_ALL_SHOPS}
        AND NOT EXISTS (SELECT 1 FROM json_each(${all}) AS next, ${reading} AS r WHERE r.id = ${its('id')})
        AND NOT EXISTS (SELECT 1 FROM json_each(${all}) AS next WHERE ${standsThere} IS NOT ${its('supersedes')})
        AND (SELECT count(*) FROM ${reading} AS r WHERE r.job_id = ${jobId} AND r.supersedes IS NULL) <= ${MOST_PLACES - rows.length}
      ORDER BY next.key`,
    sql`
      INSERT INTO ${chainLink} (seq, record, key, hash)
      SELECT ${sql.join(['seq', 'record', 'key', 'hash'].map(its), sql`, `)} FROM json_each(${JSON.stringify(links)}) AS next
      WHERE ${areWritten} AND ${HASH} = ${from.head.hash} ORDER BY next.key`,
    sql`UPDATE ${job} SET summary_key = ${staleMark(readings.at(-1)!.id)} WHERE ${job.id} = ${jobId} AND ${ofThisShop(job)} AND ${areLinked}`,
    sql`
      SELECT ${NUMBERS} AS seq, coalesce(${HEAD}, 0) AS "headSeq", coalesce(${HASH}, '') AS "headHash", ${areLinked} AS "isStored",
        (SELECT coalesce(max(seq), 0) FROM ${reading} WHERE job_id = ${jobId}) AS last`,
  ];
}
