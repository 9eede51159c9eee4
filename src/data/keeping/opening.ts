import { statSync } from 'node:fs';
import { backupFile, clearHalfMade, listBackups, tidyBackups } from './backups';
import { backupStore, StoreRefused } from './backup';
import { inspectStore } from './inspect';
import { migrateStore } from '../migrate';
import { storeFile, type Store } from '../store';

/**
 * A larger store is looked through quickly at its start, bytes: all of it takes some seconds, and every backup does it.
 */
const LARGE = 100_000_000;

/** What to do about a store that cannot be used, naming the newest backup there is. */
function wayOut(file: string): string {
  const newest = listBackups(file).find(({ kind }) => kind !== 'before');
  return newest
    ? `Put the newest backup back: npm run serrata -- restore "${newest.file}". What stands there now is kept beside it.`
    : 'There is no backup beside it: put one back that was kept elsewhere, with npm run serrata -- restore FILE.';
}

/**
 * Makes a store ready to be used: looked through, copied if it is about to be changed, and brought up to this version.
 * @throws StoreRefused with a sentence that says what to do: the store is damaged, is something else, or belongs to a
 *   newer version
 */
export async function openForUse(store: Store, now: () => Date): Promise<void> {
  const file = storeFile(store.url);
  if (file === null) return migrateStore(store);
  clearHalfMade(file, now());
  const isLarge = (statSync(file, { throwIfNoEntry: false })?.size ?? 0) > LARGE;
  const found = await inspectStore(file, isLarge ? 'quick' : 'full');
  if (found.state === 'damaged')
    throw new StoreRefused(`The store ${file} is damaged (${found.what.join('; ')}). ${wayOut(file)}`);
  if (found.state === 'foreign')
    throw new StoreRefused(
      `${file} is no store of Serrata: set SERRATA_DB to the store, or to a file that is not there yet. If it was one until now: ${wayOut(file)}`,
    );
  if (found.state === 'newer')
    throw new StoreRefused(
      `The store ${file} was written by a newer version of Serrata, which this one could damage. Start that version, or put a backup back that this one made.`,
    );
  await migrateStore(store, undefined, async () => {
    await backupStore(store.url, backupFile(file, 'migration', now()));
    tidyBackups(file);
  });
}
