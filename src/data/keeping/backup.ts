import { copyFileSync, existsSync, linkSync, renameSync, rmSync } from 'node:fs';
import { basename } from 'node:path';
import Database from 'libsql';
import { inspectStore, opened, type StoreState } from './inspect';
import { forOwnerAlone, makeFolderOf } from '../owner-alone';
import { addShopChange, letNobodyIn } from '../repositories';
import { storeFile, openStore } from '../store';
import { BY_ITSELF, STORE_CHANGES } from './store-changes';
import { bringUpToDate } from '../migrate';
import { troubleOf } from '../trouble';

/** Why a store cannot be opened, saved or put back: a sentence that says what to do. */
export class StoreRefused extends Error {}

/** The file of a store's address; a store on another machine is saved there. */
export function fileOf(url: string): string {
  const file = storeFile(url);
  if (file === null)
    throw new StoreRefused('The store is on another machine: save it there, by the means of its server.');
  return file;
}

/** Why a file is not taken for a whole store; null where it is. */
const WHY_NOT: Readonly<Record<StoreState['state'], string | null>> = {
  whole: null,
  new: 'is empty: choose a file that a backup made.',
  foreign: 'is no store of Serrata: choose a file that a backup made.',
  unlisted: 'has lost the list of its migrations, so nobody can tell its version: choose another backup.',
  held: 'is held by another programme: end that one, and try again.',
  unreadable: 'cannot be read: choose a file that a backup made, and see that it may be read.',
  damaged: 'is damaged: choose an older backup.',
  newer: 'was made by a newer version of Serrata: start that one.',
};

/**
 * Makes sure that a file is a store, whole, and of a version that this programme knows.
 * @throws StoreRefused with what is wrong with it
 */
export async function mustBeWhole(file: string): Promise<void> {
  if (!existsSync(file)) throw new StoreRefused(`There is no file ${file}.`);
  const found = await inspectStore(file);
  const why = WHY_NOT[found.state];
  if (why) throw new StoreRefused(`${file} ${why}`);
}

/**
 * Writes the whole store into one file of its own, while it is in use. What was acknowledged before it began is in it;
 * nothing is left in a log beside it.
 * @param url address of the store
 * @param file a file that is not there yet
 */
export async function backupStore(url: string, file: string): Promise<void> {
  const store = fileOf(url);
  if (!existsSync(store)) throw new StoreRefused(`There is no store at ${store}.`);
  if (existsSync(file)) throw new StoreRefused(`${file} is there already: give the backup another name.`);
  const half = `${file}.part`;
  rmSync(half, { force: true });
  try {
    await opened(store, (client) => client.execute({ sql: 'VACUUM INTO ?', args: [half] }));
    await mustBeWhole(half);
    forOwnerAlone(half);
    renameSync(half, file);
  } finally {
    rmSync(half, { force: true });
  }
}

/** Files that the engine keeps beside a store. */
const BESIDE = ['-wal', '-shm'];

/** Removes a store with all that the engine keeps beside it. */
export function removeStore(file: string): void {
  for (const ending of ['', ...BESIDE]) rmSync(`${file}${ending}`, { force: true });
}

/** That a backup is put in the store's place now, as its records tell it. */
const putBackNow = (backup: string) => ({
  what: STORE_CHANGES.putBack,
  value: basename(backup),
  at: new Date().toISOString(),
  by: BY_ITSELF,
});

/**
 * Makes a copy of a backup ready to take a store's place: tried, and brought up to this version.
 * @throws StoreRefused with what is wrong with it
 */
export async function readyToRestore(backup: string, ready: string): Promise<void> {
  await mustBeWhole(backup);
  removeStore(ready);
  makeFolderOf(ready);
  try {
    copyFileSync(backup, ready);
    const store = openStore(`file:${ready}`);
    try {
      await bringUpToDate(store);
      await store.write(async (tx) => {
        // Whoever was signed out or revoked since it was made stays so.
        await letNobodyIn(tx, new Date().toISOString(), BY_ITSELF);
        await addShopChange(tx, putBackNow(backup));
      });
      await store.fold();
    } finally {
      store.close();
    }
    for (const ending of BESIDE) rmSync(`${ready}${ending}`, { force: true });
    await mustBeWhole(ready);
  } catch (error) {
    removeStore(ready);
    throw error;
  }
}

/**
 * Nobody has the store open: only then does it leave its log behind. One that is too damaged to be asked is nobody's.
 */
function mustBeFree(store: string): void {
  let isFree: boolean;
  try {
    const held = new Database(store, { timeout: 0 });
    try {
      isFree = String(held.prepare('PRAGMA journal_mode = DELETE').raw().get()) === 'delete';
    } finally {
      held.close();
    }
  } catch (error) {
    isFree = troubleOf(error) === 'damaged';
  }
  if (!isFree)
    throw new StoreRefused(
      'The store is in use: stop Serrata and whatever else has it open, then put the backup back.',
    );
}

/** Keeps a file under a second name: what stands under the first may then be replaced in one go. */
function keepAs(file: string, kept: string): void {
  try {
    linkSync(file, kept);
  } catch {
    // A disk that knows no second names.
    copyFileSync(file, kept);
  }
}

/**
 * Puts what was made ready in the place of the store. At every moment there is a whole store in its place: the one that
 * stood there, or this one. What stood there is kept beside it.
 * @param stamp added to the name of what stood there
 * @returns where what stood there is kept; null where there was nothing
 */
function swapStore(store: string, ready: string, stamp: string): string | null {
  const kept = `${store}.before-${stamp}`;
  const isThere = existsSync(store);
  if (isThere) {
    mustBeFree(store);
    keepAs(store, kept);
  }
  // A log would be read into the store that takes this one's place. What a damaged store has left in its log is kept
  // with it.
  for (const ending of BESIDE) {
    if (isThere && existsSync(`${store}${ending}`)) renameSync(`${store}${ending}`, `${kept}${ending}`);
    rmSync(`${store}${ending}`, { force: true });
  }
  renameSync(ready, store);
  return isThere ? kept : null;
}

/**
 * Puts a backup in the place of a store that no other process has open.
 * @returns where what stood there is kept; null where there was nothing
 */
export async function restoreStore(url: string, backup: string, stamp: string): Promise<string | null> {
  const store = fileOf(url);
  const ready = `${store}.ready`;
  await readyToRestore(backup, ready);
  try {
    return swapStore(store, ready, stamp);
  } finally {
    removeStore(ready);
  }
}
