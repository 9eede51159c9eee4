import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { createClient } from '@libsql/client';
import type { SQL } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { gathered } from './gathered';
import { forOwnerAlone, makeFolderOf } from './owner-alone';
import { againWhileHeld, patient } from './patience';
import * as schema from './schema';
import { settings } from './settings';
import { FIRST_SHOP, IS_SHOP_ID, type ShopId } from './shops/names';
import { scopedClient } from './shops/scoped-client';
import { troubleOf } from './trouble';
import { letOthers } from './turn';

/**
 * Milliseconds the driver itself waits for somebody else's write. It waits with everything standing still, so it hardly
 * does.
 */
const DRIVER_WAIT_MS = 20;

export type Database = LibSQLDatabase<typeof schema>;
/** What a repository may use inside a write. */
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
/** Anything that can be queried. */
export type Queryable = Database | Transaction;

/** What is seen of a store from one shop, and written for it; or seen of all shops. */
export interface Seen {
  /** Null where it is seen whole: then nothing that names a shop is written. */
  readonly shop: ShopId | null;
  readonly db: Database;
  /**
   * Runs a write alone: writes queue up one behind another, because two overlapping write transactions block the whole
   * process in this driver. Await nothing slow inside.
   */
  readonly write: <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>;
  /** Does some statements as one write, in one way to the store and back; gives the rows of each. */
  readonly writeAtOnce: (statements: readonly SQL[]) => Promise<readonly (readonly unknown[])[]>;
}

/** The opened store, as one shop sees it: queries go straight to `db`, every write goes through `write`. */
export interface Store extends Seen {
  readonly shop: ShopId;
  /** Where it is. */
  readonly url: string;
  /** Whether it is on another machine. */
  readonly isElsewhere: boolean;
  /** Whether its file was there before it was opened. */
  readonly wasThere: boolean;
  /** The same store, as another shop sees it. */
  readonly of: (shop: ShopId) => Store;
  /** The same store, of all shops. */
  readonly whole: Seen;
  /** Has somebody hear of every write that was done. */
  readonly onWritten: (listener: () => void) => void;
  /** Whether no write is under way or waits. */
  readonly isIdle: () => boolean;
  /** Folds the log into the file, so that the file alone is the store. */
  readonly fold: () => Promise<void>;
  readonly close: () => void;
}

/** Address of the store: `SERRATA_DB` is a path or a libSQL URL; without it, `./data/serrata.db`. */
export function storeUrl(address = settings().SERRATA_DB): string {
  return /^[a-z]+:/.test(address) ? address : `file:${resolve(address)}`;
}

/** The file of a store's address; null for a store on another machine. */
export const storeFile = (url: string): string | null => (url.startsWith('file:') ? url.slice('file:'.length) : null);

/** Opens the store, making its folder if need be. Migrations are applied separately. */
export function openStore(url = storeUrl(), authToken = settings().SERRATA_DB_TOKEN): Store {
  const file = storeFile(url);
  const wasThere = file === null || existsSync(file);
  if (file !== null) makeFolderOf(file);
  let isWriting = false;
  const driver = createClient({ url, timeout: DRIVER_WAIT_MS, ...(authToken ? { authToken } : {}) });
  const client = patient(file === null ? gathered(driver) : driver, () => isWriting);
  // Its log takes after it.
  if (file !== null) forOwnerAlone(file);
  let tail: Promise<unknown> = Promise.resolve();
  let waiting = 0;
  const listeners: (() => void)[] = [];
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    waiting += 1;
    const mine = tail.then(work).finally(() => (waiting -= 1));
    // Somebody may look between two writes: one after the other they would take one turn of the loop together.
    tail = mine.then(letOthers, letOthers);
    return mine;
  };
  const seenFrom = (shop: ShopId | null): Seen => {
    const db = drizzle(scopedClient(client, shop), { schema });
    const all = (statements: readonly SQL[]) =>
      statements.map((each) => db.all(each)) as readonly BatchItem<'sqlite'>[];
    return {
      shop,
      db,
      writeAtOnce: (statements) =>
        inTurn(async () => {
          // None of them is known to be done where no answer came: nobody but who asked tries them again.
          const rows = await againWhileHeld(() => db.batch(all(statements) as [BatchItem<'sqlite'>]));
          for (const listener of listeners) listener();
          return rows as readonly unknown[] as readonly (readonly unknown[])[];
        }),
      write: (work) =>
        inTurn(async () => {
          const alone = (tx: Transaction) => {
            isWriting = true;
            return work(tx);
          };
          try {
            const begin = () => db.transaction(alone, { behavior: 'immediate' });
            const done = await (file === null ? againWhileHeld(begin) : begin());
            for (const listener of listeners) listener();
            return done;
          } catch (error) {
            if (troubleOf(error) === 'held') await client.reconnect();
            throw error;
          } finally {
            isWriting = false;
          }
        }),
    };
  };
  const shops = new Map<ShopId, Store>();
  const of = (shop: ShopId): Store => {
    // It stands in statements as it is.
    if (!IS_SHOP_ID.test(shop)) throw new RangeError('This is no id of a shop.');
    const store = shops.get(shop) ?? { ...common, ...seenFrom(shop), shop };
    shops.set(shop, store);
    return store;
  };
  const common = {
    url,
    isElsewhere: file === null,
    wasThere,
    of,
    whole: seenFrom(null),
    onWritten: (listener: () => void) => void listeners.push(listener),
    isIdle: () => waiting === 0,
    fold: async () => void (await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')),
    close: () => client.close(),
  } satisfies Omit<Store, keyof Seen>;
  return of(FIRST_SHOP);
}
