import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import * as schema from './schema';

/** Milliseconds a connection waits for another process's write before it gives up. */
const BUSY_TIMEOUT_MS = 4000;

export type Database = LibSQLDatabase<typeof schema>;
/** What a repository may use inside a write. */
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
/** Anything that can be queried. */
export type Queryable = Database | Transaction;

/** The opened store: queries go straight to `db`, every write goes through `write`. */
export interface Store {
  readonly db: Database;
  /**
   * Runs a write alone: writes queue up one behind another, because two overlapping write transactions block the whole
   * process in this driver. Await nothing slow inside.
   */
  readonly write: <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>;
  /** Folds the log into the file, so that the file alone is the store. */
  readonly fold: () => Promise<void>;
  readonly close: () => void;
}

/** Address of the store: `SERRATA_DB` is a path or a libSQL URL; without it, `./data/serrata.db`. */
export function storeUrl(configured = process.env.SERRATA_DB): string {
  const address = configured ?? './data/serrata.db';
  return /^[a-z]+:/.test(address) ? address : `file:${resolve(address)}`;
}

/** Opens the store, making its folder if need be. Migrations are applied separately. */
export function openStore(url = storeUrl(), authToken = process.env.SERRATA_DB_TOKEN): Store {
  if (url.startsWith('file:')) mkdirSync(dirname(url.slice('file:'.length)), { recursive: true });
  const client = createClient({ url, timeout: BUSY_TIMEOUT_MS, ...(authToken ? { authToken } : {}) });
  const db = drizzle(client, { schema });
  let tail: Promise<unknown> = Promise.resolve();
  return {
    db,
    write: (work) => {
      const mine = tail.then(() => db.transaction(work, { behavior: 'immediate' }));
      tail = mine.catch(() => undefined);
      return mine;
    },
    fold: async () => void (await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')),
    close: () => client.close(),
  };
}
