import { copyFileSync, existsSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { createClient, type Client } from '@libsql/client';
import { MIGRATIONS, type Journal } from './migrate';

/** Why a store cannot be saved or put back: a sentence that says what to do. */
export class BackupRefused extends Error {}

/** Milliseconds a backup waits for somebody else's write. */
const WAIT_MS = 10_000;

async function opened<T>(file: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = createClient({ url: `file:${file}`, timeout: WAIT_MS });
  try {
    return await work(client);
  } finally {
    client.close();
  }
}

/** The file of a store's address; a store on another machine is saved there. */
function fileOf(url: string): string {
  if (!url.startsWith('file:'))
    throw new BackupRefused('The store is on another machine: save it there, by the means of its server.');
  return url.slice('file:'.length);
}

/**
 * Makes sure that a file is a store, whole, and of a version that this programme knows.
 * @throws BackupRefused with what is wrong with it
 */
export async function mustBeWhole(file: string): Promise<void> {
  if (!existsSync(file)) throw new BackupRefused(`There is no file ${file}.`);
  const found = await opened(file, async (client) => {
    const whole = await client.execute('PRAGMA integrity_check');
    const applied = await client.execute('SELECT created_at FROM __drizzle_migrations');
    await client.execute('SELECT seq FROM reading LIMIT 1');
    return { isWhole: whole.rows[0]?.[0] === 'ok', applied: applied.rows.map((row) => Number(row[0])) };
  }).catch(() => null);
  if (!found) throw new BackupRefused(`${file} is no store of Serrata: choose a file that a backup made.`);
  if (!found.isWhole) throw new BackupRefused(`${file} is damaged: choose an older backup.`);
  const { entries } = JSON.parse(readFileSync(`${MIGRATIONS}/meta/_journal.json`, 'utf8')) as Journal;
  if (found.applied.some((when) => !entries.some((entry) => entry.when === when)))
    throw new BackupRefused(`${file} was made by a newer version of Serrata: start that one.`);
}

/**
 * Writes the whole store into one file of its own, while it is in use. What was acknowledged before it began is in it; nothing is left in a log beside it.
 * @param url address of the store
 * @param file a file that is not there yet
 */
export async function backupStore(url: string, file: string): Promise<void> {
  const store = fileOf(url);
  if (!existsSync(store)) throw new BackupRefused(`There is no store at ${store}.`);
  if (existsSync(file)) throw new BackupRefused(`${file} is there already: give the backup another name.`);
  const half = `${file}.part`;
  rmSync(half, { force: true });
  try {
    await opened(store, (client) => client.execute({ sql: 'VACUUM INTO ?', args: [half] }));
    await mustBeWhole(half);
    renameSync(half, file);
  } finally {
    rmSync(half, { force: true });
  }
}

/** Nobody has the store open: only then does it leave its log behind. */
async function mustBeFree(store: string): Promise<void> {
  const mode = await opened(store, (client) => client.execute('PRAGMA journal_mode = DELETE')).catch(() => null);
  if (mode?.rows[0]?.[0] !== 'delete')
    throw new BackupRefused('The store is in use: stop Serrata first, then put the backup back.');
}

/**
 * Puts a backup in the place of the store, which must not be in use. What stood there is kept beside it.
 * @param stamp added to the name of what stood there
 * @returns where what stood there is kept; null where there was nothing
 */
export async function restoreStore(url: string, file: string, stamp: string): Promise<string | null> {
  const store = fileOf(url);
  await mustBeWhole(file);
  const half = `${store}.part`;
  copyFileSync(file, half);
  try {
    await mustBeWhole(half);
    if (!existsSync(store)) {
      // A log whose file is gone would be read into the one that takes its place.
      for (const left of ['-wal', '-shm']) rmSync(`${store}${left}`, { force: true });
      renameSync(half, store);
      return null;
    }
    await mustBeFree(store);
    const kept = `${store}.before-${stamp}`;
    renameSync(store, kept);
    renameSync(half, store);
    return kept;
  } finally {
    rmSync(half, { force: true });
  }
}
