import { readFileSync } from 'node:fs';
import Database from 'libsql';
import { journal, MIGRATIONS } from '../journal';

/** A trigger, an index or a table as the engine keeps it. */
interface Thing {
  readonly type: 'table' | 'index' | 'trigger';
  readonly name: string;
  readonly table: string;
  readonly sql: string;
}

type Store = Database.Database;

/** What somebody made; what the engine makes for itself, and the list of migrations, are left to them. */
const THINGS = `SELECT type, name, tbl_name AS "table", sql FROM sqlite_master
  WHERE type IN ('table', 'index', 'trigger') AND sql NOT NULL
    AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '\\_\\_drizzle%' ESCAPE '\\' AND name NOT GLOB 'search_[cdi]*'`;

const thingsIn = (store: Store): readonly Thing[] => store.prepare(THINGS).all() as Thing[];

const columnsOf = (store: Store, table: string): readonly string[] =>
  (store.prepare('SELECT name FROM pragma_table_info(?)').all(table) as { name: string }[]).map(({ name }) => name);

/** A store with nothing in it, as the migrations make it. */
function asMigrated(): Store {
  const store = new Database(':memory:');
  for (const { tag } of journal().entries)
    for (const statement of readFileSync(`${MIGRATIONS}/${tag}.sql`, 'utf8').split('--> statement-breakpoint'))
      store.exec(statement);
  return store;
}

/** What the store itself refuses or finds with, against what the migrations made. */
export interface Guards {
  /** Tables and columns (`table.column`) that are missing: nothing can mend that. */
  readonly missing: readonly string[];
  /** Triggers and indexes that were missing, changed or foreign, and are put right. */
  readonly mended: readonly string[];
}

const plain = (sql: string): string => sql.replace(/\s+/g, ' ').trim();
const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

function missingIn(store: Store, wanted: Store, tables: readonly Thing[]): readonly string[] {
  return tables.flatMap(({ name }) => {
    const there = new Set(columnsOf(store, name));
    if (there.size === 0) return [name];
    return columnsOf(wanted, name)
      .filter((column) => !there.has(column))
      .map((column) => `${name}.${column}`);
  });
}

/** Puts one trigger or index right. */
function putRight(store: Store, { type, name }: Thing, wanted: Thing | undefined): void {
  store.exec(`DROP ${type} IF EXISTS ${quoted(name)}`);
  if (wanted) store.exec(wanted.sql);
}

/**
 * Holds a store against the migrations. Triggers and indexes that are missing or changed are made anew, and triggers
 * that no migration made are taken away, all in one write.
 */
export function mendGuards(file: string): Guards {
  const [store, wanted] = [new Database(file, { timeout: 10_000 }), asMigrated()];
  try {
    const [there, should] = [thingsIn(store), thingsIn(wanted)];
    const missing = missingIn(
      store,
      wanted,
      should.filter(({ type }) => type === 'table'),
    );
    if (missing.length > 0) return { missing, mended: [] };
    const guards = should.filter(({ type }) => type !== 'table');
    const wrong = guards.filter((guard) => {
      const its = there.find(({ type, name }) => type === guard.type && name === guard.name);
      return !its || plain(its.sql) !== plain(guard.sql);
    });
    const foreign = there.filter(
      ({ type, name }) => type === 'trigger' && !guards.some((guard) => guard.type === type && guard.name === name),
    );
    const changes = [...wrong, ...foreign];
    if (changes.length === 0) return { missing, mended: [] };
    store.exec('BEGIN IMMEDIATE');
    try {
      for (const thing of changes) putRight(store, thing, wrong.includes(thing) ? thing : undefined);
      store.exec('COMMIT');
    } catch (error) {
      store.exec('ROLLBACK');
      throw error;
    }
    return { missing, mended: changes.map(({ name }) => name) };
  } finally {
    store.close();
    wanted.close();
  }
}
