import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { sql } from 'drizzle-orm';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { inStore, verifyChain } from '../../src/data/chain/verify';
import { backupStore, mustBeWhole } from '../../src/data/keeping/backup';
import { inspectStore } from '../../src/data/keeping/inspect';
import { openForUse } from '../../src/data/keeping/opening';
import { openStore } from '../../src/data/store';
import { benchView } from '../../src/server/use-cases/bench';
import { joinShop } from '../../src/server/use-cases/people';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
const beside = (name: string) => join(dirname(context.path), name);
const now = () => new Date('2026-11-26T09:00:00Z');

/** Opens a file as the server does at its start. */
async function start(file: string): Promise<void> {
  const store = openStore(`file:${file}`);
  try {
    await openForUse(store, now);
  } finally {
    store.close();
  }
}

beforeEach(async () => {
  context = demoContext();
  await context.store.fold();
});
afterEach(() => context.done());

describe('a store at the start', () => {
  it('is opened when it is whole, and made when it is not there', async () => {
    await start(context.path);
    await start(beside('fresh.db'));
    writeFileSync(beside('empty.db'), '');
    await start(beside('empty.db'));
  });

  it('is refused damaged, naming the backup that can be put back', async () => {
    const damaged = beside('damaged.db');
    const bytes = readFileSync(context.path);
    bytes.fill(0x5a, 40_960, 120_000);
    writeFileSync(damaged, bytes);
    await expect(start(damaged)).rejects.toThrow(/is damaged .*no backup beside it/s);
    mkdirSync(beside('backups'));
    const backup = beside('backups/daily-2026-11-25T09-00-00-000Z.db');
    await backupStore(context.store.url, backup);
    await expect(start(damaged)).rejects.toThrow(`npm run serrata -- restore "${backup}"`);
    expect(readFileSync(damaged).equals(bytes)).toBe(true);
  });

  it('is refused cut off in the middle', async () => {
    const cut = beside('cut.db');
    const bytes = readFileSync(context.path);
    writeFileSync(cut, bytes.subarray(0, Math.floor(bytes.length * 0.6)));
    await expect(start(cut)).rejects.toThrow(/is damaged/);
  });

  it('is refused when a newer version wrote it, and left as it was', async () => {
    await context.store.db.run(sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)`);
    await expect(start(context.path)).rejects.toThrow(/newer version of Serrata.*Start that version/s);
  });

  it.each([
    ['text', 'not a store, but a text that somebody called one'],
    ['another database', null],
  ])('is refused when it is %s', async (_what, content) => {
    const file = beside('other.db');
    if (content === null) {
      const other = new Database(file);
      other.exec('CREATE TABLE recipe (name TEXT)');
      other.close();
    } else writeFileSync(file, content);
    await expect(start(file)).rejects.toThrow(/is no store of Serrata: set SERRATA_DB/);
  });
});

describe('a store that something else has changed', () => {
  /** Changes the store with the file in hand. */
  const change = (file: string, statements: string) => {
    const store = new Database(file, { timeout: 5000 });
    store.exec(statements);
    store.close();
  };
  const told = () =>
    context.store.db.all(sql`SELECT what, value FROM shop_change WHERE what GLOB 'store.*' ORDER BY seq`);

  it('has its guards put right, and says so in its records', async () => {
    change(
      context.path,
      `DROP TRIGGER reading_never_changes; DROP TRIGGER sign_off_never_goes; DROP INDEX reading_job;
       CREATE TRIGGER sign_off_never_goes BEFORE DELETE ON sign_off BEGIN SELECT 1; END;
       CREATE TRIGGER meddling AFTER INSERT ON reading BEGIN DELETE FROM photo; END;`,
    );
    await start(context.path);
    const names = 'reading_job, reading_never_changes, sign_off_never_goes, meddling';
    expect(await told()).toEqual([{ what: 'store.mended', value: names }]);
    for (const forge of ["UPDATE reading SET text = '1'", 'DELETE FROM sign_off'])
      await expect(context.store.db.run(sql.raw(forge))).rejects.toThrow();
    await start(context.path);
    expect(await told()).toHaveLength(1);
  });

  it('begins its chain anew where it was taken away, and says so in its records', async () => {
    change(context.path, 'DROP TRIGGER chain_link_never_goes; DELETE FROM chain_link;');
    await start(context.path);
    expect(await told()).toEqual([
      { what: 'store.begun-anew', value: now().toISOString() },
      { what: 'store.mended', value: 'chain_link_never_goes' },
    ]);
    // What hand-overs carry of the old one is found nowhere in it.
    const { misfits } = inStore(context.path, verifyChain);
    expect(new Set(misfits.map(({ what }) => what))).toEqual(new Set(['other-chain']));
  });

  it('begins its chain as if nothing had been where it was pulled before it had begun', async () => {
    const statements = "DELETE FROM chain_link; DELETE FROM sqlite_sequence WHERE name = 'chain_link'";
    change(context.path, `DROP TRIGGER chain_link_never_goes; ${statements};`);
    await start(context.path);
    expect(await told()).toEqual([{ what: 'store.mended', value: 'chain_link_never_goes' }]);
  });

  it('is opened with a record that does not fit, which is named', async () => {
    change(
      context.path,
      "DROP TRIGGER sign_off_never_changes; UPDATE sign_off SET at = '2001-01-01T00:00:00.000Z' WHERE rowid = (SELECT max(rowid) FROM sign_off);",
    );
    const store = openStore(`file:${context.path}`);
    expect(await openForUse(store, now)).toMatchObject([{ what: 'changed', record: 'sign_off' }]);
    store.close();
  });

  it.each([
    ['a column', 'DROP TRIGGER search_job_new; ALTER TABLE job DROP COLUMN promised_for', /has lost job.promised_for/],
    ['a table', 'DROP TABLE saw_memory', /has lost saw_memory/],
    ['the list of its migrations', 'DROP TABLE __drizzle_migrations', /list of the migrations .* is gone/],
  ])('is refused without %s, which is named', async (_what, statements, says) => {
    const copy = beside('changed.db');
    writeFileSync(copy, readFileSync(context.path));
    change(copy, `DROP INDEX job_promised; DROP INDEX job_on_bench; ${statements};`);
    await expect(start(copy)).rejects.toThrow(says);
  });

  it('is refused emptied where backups stand beside it, and is new where none does', async () => {
    const emptied = beside('emptied.db');
    writeFileSync(emptied, '');
    mkdirSync(beside('backups'));
    await backupStore(context.store.url, beside('backups/daily-2026-11-25T09-00-00-000Z.db'));
    await expect(start(emptied)).rejects.toThrow(/is empty, and there are backups.*restore ".*To begin anew/s);
  });

  it('is refused as something that cannot be read where it is a folder', async () => {
    mkdirSync(beside('folder.db'));
    expect(await inspectStore(beside('folder.db'))).toMatchObject({ state: 'unreadable' });
  });

  it('is held, not damaged, where another programme has locked it', async () => {
    const copy = beside('locked.db');
    writeFileSync(copy, readFileSync(context.path));
    const other = new Database(copy);
    other.exec('PRAGMA journal_mode = DELETE; BEGIN EXCLUSIVE');
    expect(await inspectStore(copy)).toEqual({ state: 'held' });
    await expect(mustBeWhole(copy)).rejects.toThrow(/is held by another programme/);
    other.exec('ROLLBACK');
    other.close();
    expect(await inspectStore(copy)).toEqual({ state: 'whole' });
  });
});

describe('a store that another programme holds', () => {
  // What is written with nobody waiting for it is written first: this process must not hold the store itself.
  beforeEach(() => context.store.write(async () => undefined));

  it('lets everybody be answered, stores what waited, and tells the truth afterwards', async () => {
    const people = async () => (await benchView(context, { page: '1' })).shop.people.length;
    const before = await people();
    await context.store.write(async () => undefined);
    const other = new Database(context.path, { timeout: 5000 });
    other.exec('BEGIN EXCLUSIVE');
    const waiting = ['Una', 'Odo', 'Pia'].map((name) => joinShop(context, { name }));
    // Whoever only looks does not wait, and sees what stands.
    for (let i = 0; i < 5; i += 1) {
      expect(await people()).toBe(before);
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    other.exec("INSERT INTO person (id, name) VALUES ('p-other', 'Written by the other')");
    other.exec('COMMIT');
    other.close();
    await Promise.all(waiting);
    expect(await people()).toBe(before + 4);
    await joinShop(context, { name: 'Later' });
    expect(await people()).toBe(before + 5);
  });

  it('held for longer, tells whoever waits, loses nothing that stood, and goes on when it is free', async () => {
    const other = new Database(context.path, { timeout: 5000 });
    other.exec('BEGIN EXCLUSIVE');
    const [first, second] = await Promise.allSettled([
      joinShop(context, { name: 'Una' }),
      joinShop(context, { name: 'Odo' }),
    ]);
    for (const answer of [first, second]) expect(answer).toMatchObject({ status: 'rejected' });
    other.exec("INSERT INTO person (id, name) VALUES ('p-other', 'Written by the other')");
    other.exec('COMMIT');
    other.close();
    // Not an old state of it: what the other wrote is seen at once, and what is written now is stored.
    const names = async () => (await benchView(context, { page: '1' })).shop.people.map(({ name }) => name);
    expect(await names()).toContain('Written by the other');
    await joinShop(context, { name: 'Una' });
    expect(await names()).toEqual(expect.arrayContaining(['Una', 'Written by the other']));
  });
});

describe('a copy before a migration', () => {
  it('is made of a store that is about to be changed, and of no other', async () => {
    await start(context.path);
    const older = openStore(context.store.url);
    await older.db.run(
      sql`DELETE FROM __drizzle_migrations WHERE created_at = (SELECT max(created_at) FROM __drizzle_migrations)`,
    );
    older.close();
    // The migration was applied already, so that it fails now: the copy is there nevertheless.
    await expect(start(context.path)).rejects.toThrow();
    expect(readdirSync(beside('backups')).filter((name) => name.startsWith('migration-'))).toHaveLength(1);
  });
});
