import { existsSync } from 'node:fs';
import type Database from 'libsql';
import type { Misfit } from '../../core/records';
import { headIn, inStore, linkAt, verifyChain, type Chain } from '../chain/verify';
import type { Head } from '../chain/link';
import { StoreRefused } from './backup';
import { listBackups, type KeptBackup } from './backups';
import { STORE_CHANGES } from './store-changes';

/** The last link that a backup holds; null where it has no chain, or cannot be read. */
function headOfBackup(file: string): Head | null {
  try {
    const head = inStore(file, headIn);
    return head.seq === 0 ? null : head;
  } catch {
    return null;
  }
}

/** When a backup was last put in the store's place; empty where none ever was. */
function lastPutBack(store: Database.Database): string {
  const row = store.prepare('SELECT max(at) AS at FROM shop_change WHERE what = ?').get(STORE_CHANGES.putBack) as {
    at: string | null;
  };
  return row.at ?? '';
}

/**
 * Backups of this store that hold links which it has not: its end was cut off, or its chain was written anew. What
 * stood before a backup was put back is another story, and one brought from elsewhere may be another shop's.
 */
function lostSince(store: Database.Database, backups: readonly KeptBackup[]): readonly Misfit[] {
  const since = lastPutBack(store);
  return backups
    .filter(({ kind, at }) => kind !== 'brought' && at.toISOString() > since)
    .flatMap(({ name, at, file }): readonly Misfit[] => {
      const head = headOfBackup(file);
      if (head === null || linkAt(store, head.seq)?.hash === head.hash) return [];
      return [{ what: 'backup', name, at: at.toISOString(), seq: head.seq }];
    });
}

/**
 * A file that can be gone through.
 * @throws StoreRefused where it is not there, is no store, or belongs to a version that had no chain
 */
export function mustHaveRecords(file: string): string {
  if (!existsSync(file)) throw new StoreRefused(`There is no file ${file}.`);
  const isStore = (): boolean => {
    try {
      return inStore(
        file,
        (store) => store.prepare("SELECT 1 FROM sqlite_master WHERE name = 'chain_link'").get() !== undefined,
      );
    } catch {
      return false;
    }
  };
  if (isStore()) return file;
  throw new StoreRefused(
    `${file} has no chain of records: it is no store of Serrata, or one of an older version that was not opened by this one yet.`,
  );
}

/** Goes through all records of a store that never change, and holds them against its backups. */
export function verifyRecords(file: string, backups = listBackups(file)): Chain {
  return inStore(file, (store) => {
    const chain = verifyChain(store);
    return { ...chain, misfits: [...chain.misfits, ...lostSince(store, backups)] };
  });
}
