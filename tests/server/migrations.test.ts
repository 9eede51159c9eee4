import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import Database from 'libsql';
import { afterAll, describe, expect, it } from 'vitest';
import { listBackups } from '../../src/data/keeping/backups';
import { inspectStore } from '../../src/data/keeping/inspect';
import { journal } from '../../src/data/journal';
import { openForUse } from '../../src/data/keeping/opening';
import { accounts } from '../../src/data/repositories';
import { openStore } from '../../src/data/store';
import { benchView } from '../../src/server/use-cases/bench';
import { jobView, putReadings } from '../../src/server/use-cases/jobs';
import { movePart } from '../../src/server/use-cases/shelf';
import { searchView, stockView } from '../../src/server/use-cases/stock';

/**
 * Stores as earlier versions left them, by the newest migration they knew. Each was made by that version itself, with
 * its demo data.
 */
const FIXTURES = new URL('../fixtures/stores/', import.meta.url);
const versions = readdirSync(FIXTURES).map((name) => name.replace('.db.gz', ''));

const folder = mkdtempSync(join(tmpdir(), 'serrata-migrations-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

type Row = Readonly<Record<string, unknown>>;

/** Every row of every table that holds what was written, in the order in which it was. */
function everything(file: string): ReadonlyMap<string, readonly Row[]> {
  const store = new Database(file);
  const tables = store
    .prepare(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT GLOB 'sqlite_*' AND name NOT GLOB 'search*' AND name NOT GLOB '__*'",
    )
    .all() as { name: string }[];
  const rows = tables.map(
    ({ name }) => [name, store.prepare(`SELECT * FROM "${name}" ORDER BY rowid`).all() as Row[]] as const,
  );
  store.close();
  return new Map(rows);
}

/** The cells of a row that an earlier version knew. */
const known = (row: Row, before: Row): Row =>
  Object.fromEntries(Object.keys(before).map((column) => [column, row[column]]));

describe('a store of an earlier version', () => {
  it('is kept of the version before the newest', () => {
    const before = journal().entries.at(-2)!.tag.slice(0, 4);
    expect(versions).toContain(before);
  });

  it.each(versions)('%s is brought up to date with every cell kept, and is used like any other', async (version) => {
    const file = join(folder, `${version}.db`);
    writeFileSync(file, gunzipSync(readFileSync(new URL(`${version}.db.gz`, FIXTURES))));
    const before = everything(file);
    expect(before.get('reading')!.length).toBeGreaterThan(50);

    const store = openStore(`file:${file}`);
    const context = { store, now: () => new Date('2026-11-26T09:00:00Z'), newId: () => crypto.randomUUID() };
    await openForUse(store, context.now);
    const after = everything(file);
    for (const [table, rows] of before) {
      const now = after.get(table)!;
      expect(now.length, table).toBe(rows.length);
      for (const [i, row] of rows.entries()) expect(known(now[i]!, row), table).toEqual(row);
    }
    expect(await inspectStore(file)).toEqual({ state: 'whole' });
    // Its people are there by their names, and none of them can sign in yet.
    const people = await accounts(store.db);
    expect(people.map(({ name }) => name).toSorted()).toEqual(
      before
        .get('person')!
        .map(({ name }) => name)
        .toSorted(),
    );
    expect(people.every(({ hasPassword, leftAt }) => !hasPassword && leftAt === null)).toBe(true);

    const { jobs } = await benchView(context, { page: '1' });
    const view = await jobView(context, jobs[0]!.id);
    expect(view.readings.length).toBeGreaterThan(5);
    const next = { id: crypto.randomUUID(), path: 'bar.note', text: 'kept', unit: 'mm', instrument: null } as const;
    await putReadings(context, jobs[0]!.id, { by: 'Ines', readings: [{ ...next, supersedes: null }] });
    const { parts } = await stockView(context, new URLSearchParams());
    const { sku, quantity } = parts.find((part) => part.quantity > 0)!;
    const moved = await movePart(context, sku, { id: 'm', by: 'Ines', kind: 'taken', pieces: 1, note: '' });
    expect(moved.part.quantity).toBe(quantity - 1);
    expect(await searchView(context, sku)).toContainEqual(expect.objectContaining({ kind: 'part' }));
    store.close();

    // What stood there before the migration is kept whole.
    const copy = listBackups(file).find(({ kind }) => kind === 'migration')!;
    expect(everything(copy.file)).toEqual(before);
    for (const { file: each } of listBackups(file)) rmSync(each);
  });
});
