import { existsSync, statSync } from 'node:fs';
import { createClient, type Client } from '@libsql/client';
import { journal } from '../journal';
import { troubleOf } from '../trouble';
import { beginsWith } from './first-bytes';

/** Milliseconds that work on a store waits for somebody else's write. */
const WAIT_MS = 10_000;
/** Milliseconds until a store that cannot be looked at is said to be held. */
const LOOK_WAIT_MS = 4000;

/** Works with a store's file through a connection of its own. */
export async function opened<T>(file: string, work: (client: Client) => Promise<T>, timeout = WAIT_MS): Promise<T> {
  const client = createClient({ url: `file:${file}`, timeout });
  try {
    return await work(client);
  } finally {
    client.close();
  }
}

/**
 * How a file stands as a store. `new` is empty or not there; `foreign` is something else than a store of this
 * programme; `unlisted` has its tables, and no list of the migrations that made them; `held` is locked by another
 * process.
 */
export type StoreState =
  | { readonly state: 'new' | 'whole' | 'newer' | 'foreign' | 'unlisted' | 'held' }
  /** @property what the first things that are wrong with it, or why it cannot be read */
  | { readonly state: 'damaged' | 'unreadable'; readonly what: readonly string[] };

/** How the engine's files begin. */
const SIGNATURE = 'SQLite format 3\0';
/** Faults that are named of a damaged store. */
const NAMED = 3;

const said = (error: unknown): string => (error instanceof Error ? error.message : String(error));

async function state(client: Client, how: 'quick' | 'full'): Promise<StoreState> {
  const check = how === 'quick' ? `PRAGMA quick_check(${NAMED})` : `PRAGMA integrity_check(${NAMED})`;
  const found = (await client.execute(check)).rows.map((row) => String(row[0]));
  if (found[0] !== 'ok') return { state: 'damaged', what: found };
  const tables = (await client.execute("SELECT name FROM sqlite_master WHERE type = 'table'")).rows.map(
    (row) => row[0],
  );
  if (tables.length === 0) return { state: 'new' };
  if (!tables.includes('reading')) return { state: 'foreign' };
  if (!tables.includes('__drizzle_migrations')) return { state: 'unlisted' };
  const applied = await client.execute('SELECT created_at FROM __drizzle_migrations');
  const known = new Set(journal().entries.map(({ when }) => when));
  return { state: applied.rows.every((row) => known.has(Number(row[0]))) ? 'whole' : 'newer' };
}

/**
 * Looks a store's file through.
 * @param how `quick` leaves out whether every index agrees with its table, and takes a fraction of the time
 */
export async function inspectStore(file: string, how: 'quick' | 'full' = 'full'): Promise<StoreState> {
  try {
    if (!existsSync(file) || statSync(file).size === 0) return { state: 'new' };
    if (!beginsWith(file, SIGNATURE)) return { state: 'foreign' };
  } catch (error) {
    return { state: 'unreadable', what: [said(error)] };
  }
  try {
    return await opened(file, (client) => state(client, how), LOOK_WAIT_MS);
  } catch (error) {
    if (troubleOf(error) === 'held') return { state: 'held' };
    return { state: 'damaged', what: [said(error)] };
  }
}
