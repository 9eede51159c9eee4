import { renameSync, rmSync } from 'node:fs';
import Database from 'libsql';
import { forOwnerAlone } from '../owner-alone';
import { fileOf, readyToRestore, removeStore } from './backup';

/** Milliseconds to wait for somebody else's write. */
const WAIT_MS = 10_000;

const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

interface Thing {
  readonly name: string;
  readonly sql: string;
}

/** Tables that hold what was written; those that the engine or its search makes for itself are left to them. */
const TABLES = `SELECT name, sql FROM main.sqlite_master WHERE type = 'table' AND sql NOT NULL
  AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '\\_\\_drizzle%' ESCAPE '\\' AND name NOT GLOB 'search_[cdi]*'`;
const TRIGGERS = "SELECT name, sql FROM main.sqlite_master WHERE type = 'trigger'";

const rows = <T>(store: Database.Database, sql: string): readonly T[] => store.prepare(sql).all() as readonly T[];

function columnsOf(store: Database.Database, { name, sql }: Thing): string {
  const columns = rows<{ name: string }>(store, `SELECT name FROM pragma_table_info('${name}')`).map((column) =>
    quoted(column.name),
  );
  // The search is asked by its row numbers, and the order of records is theirs.
  return (/\bWITHOUT\s+ROWID\b/i.test(sql) ? columns : ['rowid', ...columns]).join(', ');
}

/** Empties every table and fills it from the other store, within the write that is under way. */
function refill(store: Database.Database): void {
  const triggers = rows<Thing>(store, TRIGGERS);
  const tables = rows<Thing>(store, TABLES);
  store.exec('PRAGMA defer_foreign_keys = ON');
  // Records that are never changed or deleted are guarded by them; the search is filled with the rest.
  for (const { name } of triggers) store.exec(`DROP TRIGGER ${quoted(name)}`);
  for (const { name } of tables) store.exec(`DELETE FROM main.${quoted(name)}`);
  for (const table of tables) {
    const columns = columnsOf(store, table);
    store.exec(
      `INSERT INTO main.${quoted(table.name)} (${columns}) SELECT ${columns} FROM other.${quoted(table.name)}`,
    );
  }
  store.exec('DELETE FROM main.sqlite_sequence');
  store.exec('INSERT INTO main.sqlite_sequence SELECT * FROM other.sqlite_sequence');
  for (const { sql } of triggers) store.exec(sql);
  // Every page that is open can tell that this is another store now.
  const [mark] = rows<{ user_version: number }>(store, 'PRAGMA main.user_version');
  store.exec(`PRAGMA main.user_version = ${((mark?.user_version ?? 0) + 1) % 2 ** 30}`);
}

/** Saves a store as it stands while a write of ours holds it. */
function saveAs(file: string, target: string): void {
  const half = `${target}.part`;
  rmSync(half, { force: true });
  const looking = new Database(file, { timeout: WAIT_MS });
  try {
    looking.prepare('VACUUM INTO ?').run(half);
    forOwnerAlone(half);
    renameSync(half, target);
  } finally {
    looking.close();
    rmSync(half, { force: true });
  }
}

/**
 * Makes a store that is in use hold what a backup holds, in one write: all of it or, where anything goes wrong,
 * nothing. Whoever looks meanwhile sees what stood there;
 * whoever writes waits.
 * @param url address of the store
 * @param before a file that is not there yet: what stood in the store until the very moment
 */
export async function putBackInPlace(url: string, backup: string, before: string): Promise<void> {
  const file = fileOf(url);
  const ready = `${file}.ready`;
  await readyToRestore(backup, ready);
  try {
    const store = new Database(file, { timeout: WAIT_MS });
    try {
      store.exec(`ATTACH '${ready.replaceAll("'", "''")}' AS other`);
      store.exec('BEGIN IMMEDIATE');
      try {
        saveAs(file, before);
        refill(store);
        store.exec('COMMIT');
      } catch (error) {
        store.exec('ROLLBACK');
        rmSync(before, { force: true });
        throw error;
      }
      // Folded into the file here, where nobody waits for it.
      store.prepare('PRAGMA main.wal_checkpoint(PASSIVE)').all();
    } finally {
      store.close();
    }
  } finally {
    removeStore(ready);
  }
}
