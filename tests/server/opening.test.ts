import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { sql } from 'drizzle-orm';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { backupStore } from '../../src/data/keeping/backup';
import { openForUse } from '../../src/data/keeping/opening';
import { openStore } from '../../src/data/store';
import { benchView } from '../../src/server/use-cases/bench';
import { joinBench } from '../../src/server/use-cases/shop';
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

describe('a store that another programme holds', () => {
  // What is written with nobody waiting for it is written first: this process must not hold the store itself.
  beforeEach(() => context.store.write(async () => undefined));

  it('lets everybody be answered, stores what waited, and tells the truth afterwards', async () => {
    const people = async () => (await benchView(context, { page: '1' })).shop.people.length;
    const before = await people();
    await context.store.write(async () => undefined);
    const other = new Database(context.path, { timeout: 5000 });
    other.exec('BEGIN EXCLUSIVE');
    const waiting = ['Una', 'Odo', 'Pia'].map((name) => joinBench(context, name));
    // Whoever only looks does not wait, and sees what stands.
    for (let i = 0; i < 5; i += 1) {
      expect(await people()).toBe(before);
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    other.exec("INSERT INTO person VALUES ('p-other', 'Written by the other')");
    other.exec('COMMIT');
    other.close();
    await Promise.all(waiting);
    expect(await people()).toBe(before + 4);
    await joinBench(context, 'Later');
    expect(await people()).toBe(before + 5);
  });

  it('held for longer, tells whoever waits, loses nothing that stood, and goes on when it is free', async () => {
    const other = new Database(context.path, { timeout: 5000 });
    other.exec('BEGIN EXCLUSIVE');
    const [first, second] = await Promise.allSettled([joinBench(context, 'Una'), joinBench(context, 'Odo')]);
    for (const answer of [first, second]) expect(answer).toMatchObject({ status: 'rejected' });
    other.exec("INSERT INTO person VALUES ('p-other', 'Written by the other')");
    other.exec('COMMIT');
    other.close();
    // Not an old state of it: what the other wrote is seen at once, and what is written now is stored.
    const names = async () => (await benchView(context, { page: '1' })).shop.people.map(({ name }) => name);
    expect(await names()).toContain('Written by the other');
    await joinBench(context, 'Una');
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
