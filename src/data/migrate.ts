import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { beginChain } from './chain/begin';
import { journal, MIGRATIONS } from './journal';
import type { Store } from './store';

/** Thrown when a migration that was already applied has been edited since: the store and the code no longer agree. */
export class EditedMigration extends Error {
  constructor(readonly tag: string) {
    super(
      `Migration ${tag} was applied and has been edited since. Put its text back, and make the change a new migration.`,
    );
  }
}

interface Applied {
  readonly hash: string;
  readonly created_at: number;
}

/**
 * Brings the store up to date. Write-ahead logging is set here because it stays in the file.
 * @param folder where the migrations lie; another one only in tests
 * @param save keeps a copy of a store that is about to be changed
 * @throws EditedMigration before anything is applied
 */
export async function migrateStore(
  { whole: { db } }: Store,
  folder = MIGRATIONS,
  save: () => Promise<void> = async () => undefined,
): Promise<void> {
  await db.run(sql`PRAGMA journal_mode = WAL`).catch(() => undefined);
  const applied = await appliedTo(db);
  refuseEdited(applied, folder);
  const isBehind = journal(folder).entries.some(
    ({ when }) => !applied.some((each) => Number(each.created_at) === when),
  );
  if (applied.length > 0 && isBehind) await save();
  await migrate(db, { migrationsFolder: folder });
}

/**
 * Brings a store up to this version: its tables, and the chain over its records, which an older store begins with what
 * stands in it.
 */
export async function bringUpToDate(store: Store, now = new Date()): Promise<void> {
  await migrateStore(store);
  await beginChain(store, now);
}

/** Whether a store has migrations that this version does not know: a newer one wrote it. */
export async function isNewer({ whole: { db } }: Store, folder = MIGRATIONS): Promise<boolean> {
  const known = new Set(journal(folder).entries.map(({ when }) => when));
  return (await appliedTo(db)).some(({ created_at }) => !known.has(Number(created_at)));
}

async function appliedTo(db: Store['db']): Promise<readonly Applied[]> {
  const tables = await db.all(sql`SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'`);
  return tables.length === 0 ? [] : db.all<Applied>(sql`SELECT hash, created_at FROM __drizzle_migrations`);
}

function refuseEdited(applied: readonly Applied[], folder: string): void {
  for (const { tag, when } of journal(folder).entries) {
    const before = applied.find(({ created_at }) => Number(created_at) === when);
    const hash = createHash('sha256')
      .update(readFileSync(`${folder}/${tag}.sql`, 'utf8'))
      .digest('hex');
    if (before && before.hash !== hash) throw new EditedMigration(tag);
  }
}
