import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import type { Store } from './store';

/** Migrations are found beside this module, wherever the process was started. */
export const MIGRATIONS = fileURLToPath(new URL('../../src/data/migrations', import.meta.url));

export interface Journal {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
}

/** Thrown when a migration that was already applied has been edited since: the store and the code no longer agree. */
export class EditedMigration extends Error {
  constructor(readonly tag: string) {
    super(
      `Migration ${tag} was applied and has been edited since. Put its text back, and make the change a new migration.`,
    );
  }
}

/**
 * Brings the store up to date. Write-ahead logging is set here because it stays in the file.
 * @param folder where the migrations lie; another one only in tests
 * @throws EditedMigration before anything is applied
 */
export async function migrateStore({ db }: Store, folder = MIGRATIONS): Promise<void> {
  await db.run(sql`PRAGMA journal_mode = WAL`).catch(() => undefined);
  await refuseEdited(db, folder);
  await migrate(db, { migrationsFolder: folder });
}

async function refuseEdited(db: Store['db'], folder: string): Promise<void> {
  const tables = await db.all(sql`SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'`);
  if (tables.length === 0) return;
  const applied = await db.all<{ hash: string; created_at: number }>(
    sql`SELECT hash, created_at FROM __drizzle_migrations`,
  );
  const journal = JSON.parse(readFileSync(`${folder}/meta/_journal.json`, 'utf8')) as Journal;
  for (const { tag, when } of journal.entries) {
    const before = applied.find(({ created_at }) => Number(created_at) === when);
    const hash = createHash('sha256')
      .update(readFileSync(`${folder}/${tag}.sql`, 'utf8'))
      .digest('hex');
    if (before && before.hash !== hash) throw new EditedMigration(tag);
  }
}
