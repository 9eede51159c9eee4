import { statSync } from 'node:fs';
import { backupFile, clearHalfMade, listBackups, tidyBackups } from './backups';
import { backupStore, StoreRefused } from './backup';
import { mendGuards } from './guards';
import { BY_ITSELF, STORE_CHANGES } from './store-changes';
import { inspectStore, type StoreState } from './inspect';
import { beginChain } from '../chain/begin';
import type { Misfit } from '../../core/records';
import { inStore, verifyEnd } from '../chain/verify';
import { bringUpToDate, isNewer, migrateStore } from '../migrate';
import { addShopChange } from '../repositories';
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

type Refused = Exclude<StoreState['state'], 'whole' | 'new'>;

/** What is said of a store that is not opened, and what to do. */
const REFUSALS: Readonly<Record<Refused, (file: string, what: string) => string>> = {
  damaged: (file, what) => `The store ${file} is damaged (${what}). ${wayOut(file)}`,
  unreadable: (file, what) =>
    `The store ${file} cannot be read (${what}). See that it is a file, and that whoever starts Serrata may read and write it.`,
  held: (file) =>
    `The store ${file} is held by another programme. Nothing is the matter with it: end that programme, or wait until it is done, and start again.`,
  foreign: (file) =>
    `${file} is no store of Serrata: set SERRATA_DB to the store, or to a file that is not there yet. If it was one until now: ${wayOut(file)}`,
  unlisted: (file) =>
    `The store ${file} has its tables, but the list of the migrations that made them is gone, so nobody can tell its version: another programme has changed it. ${wayOut(file)}`,
  newer: (file) =>
    `The store ${file} was written by a newer version of Serrata, which this one could damage. Start that version, or put a backup back that this one made.`,
};

/** @throws StoreRefused for a store that cannot be used */
async function mustBeUsable(file: string, wasThere: boolean): Promise<void> {
  const bytes = statSync(file, { throwIfNoEntry: false })?.size ?? 0;
  const found = await inspectStore(file, bytes > LARGE ? 'quick' : 'full');
  if (found.state === 'whole') return;
  if (found.state !== 'new')
    throw new StoreRefused(REFUSALS[found.state](file, 'what' in found ? found.what.join('; ') : ''));
  if (wasThere && bytes === 0 && listBackups(file).length > 0)
    throw new StoreRefused(
      `The store ${file} is empty, and there are backups beside it: something has emptied it. ${wayOut(file)} To begin anew, take the empty file away.`,
    );
}

/**
 * Makes a store ready to be used: looked through, copied if it is about to be changed, brought up to this version, and
 * held against what its migrations made. What was mended is written down.
 * @returns what does not fit at the end of its chain of records: it is opened nevertheless
 * @throws StoreRefused with a sentence that says what to do
 */
export async function openForUse(store: Store, now: () => Date): Promise<readonly Misfit[]> {
  const file = storeFile(store.url);
  if (file === null) {
    if (await isNewer(store))
      throw new StoreRefused(
        'The store on the other machine was written by a newer version of Serrata, which this one could damage. Start that version.',
      );
    await bringUpToDate(store, now());
    return [];
  }
  clearHalfMade(file, now());
  await mustBeUsable(file, store.wasThere);
  await migrateStore(store, undefined, async () => {
    await backupStore(store.url, backupFile(file, 'migration', now()));
    tidyBackups(file);
  });
  const { missing, mended } = mendGuards(file);
  if (missing.length > 0)
    throw new StoreRefused(
      `The store ${file} has lost ${missing.join(', ')}: another programme has changed it. ${wayOut(file)}`,
    );
  const beginning = await beginChain(store, now());
  const at = now().toISOString();
  const changes = [
    ...(beginning === 'begun-anew' ? [{ what: STORE_CHANGES.begunAnew, value: at }] : []),
    ...(mended.length > 0 ? [{ what: STORE_CHANGES.mended, value: mended.join(', ') }] : []),
  ];
  if (changes.length > 0)
    await store.write(async (tx) => {
      for (const change of changes) await addShopChange(tx, { ...change, at, by: BY_ITSELF });
    });
  return inStore(file, verifyEnd).misfits;
}
