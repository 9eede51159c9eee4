import { chmodSync, existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { backupStore, StoreRefused, mustBeWhole, restoreStore } from '../../src/data/keeping/backup';
import { writeArchive } from '../../src/data/keeping/archive/write';
import { putBackInPlace } from '../../src/data/keeping/put-back';
import { currentReadings, search } from '../../src/data/repositories';
import { openStore } from '../../src/data/store';
import { putReadings } from '../../src/server/use-cases/jobs';
import { createJob } from '../../src/server/use-cases/take-in';
import { testContext, type TestContext } from '../support/context';

let context: TestContext;
let job: string;
const beside = (name: string) => join(dirname(context.path), name);
const url = () => `file:${context.path}`;

beforeEach(async () => {
  context = testContext();
  const { id } = await createJob(context, {
    by: 'Ines',
    customer: { name: 'Crew' },
    saw: null,
    complaint: '',
    promisedFor: null,
  });
  job = id;
});
afterEach(() => context.done());

const write = (text: string) =>
  putReadings(context, job, {
    by: 'Tam',
    readings: [{ id: crypto.randomUUID(), path: `bar.mount`, text, unit: 'mm', instrument: null, supersedes: null }],
  });

/** What a store file says of the job's mount. */
async function mountIn(file: string): Promise<readonly string[]> {
  const store = openStore(`file:${file}`);
  const readings = await currentReadings(store.db, [job]);
  store.close();
  return readings.map(({ text }) => text);
}

describe('a backup', () => {
  it('holds all that was acknowledged, in one file, while the store is in use', async () => {
    await write('M2');
    const file = beside('saved.db');
    await backupStore(url(), file);
    expect(existsSync(`${file}-wal`)).toBe(false);
    expect(await mountIn(file)).toEqual(['M2']);
    await mustBeWhole(file);
  });

  it('is read by nobody else on the machine, as little as the store, its log or an archive', async () => {
    await write('M1');
    const [file, archive] = [beside('mine.db'), beside('mine.zip')];
    await backupStore(url(), file);
    await writeArchive(url(), archive, context.now());
    for (const each of [file, archive, context.path, `${context.path}-wal`])
      expect(statSync(each).mode & 0o077, each).toBe(0);
    // One that was open to all is shut when it is next opened.
    chmodSync(file, 0o644);
    openStore(`file:${file}`).close();
    expect(statSync(file).mode & 0o077).toBe(0);
  });

  it('writes over nothing', async () => {
    const file = beside('there.db');
    writeFileSync(file, 'mine');
    await expect(backupStore(url(), file)).rejects.toThrow(/is there already/);
    expect(readFileSync(file, 'utf8')).toBe('mine');
  });

  it('holds whole writes only, whoever writes meanwhile', async () => {
    const many = Array.from({ length: 40 }, (_, i) =>
      putReadings(context, job, {
        by: 'Tam',
        readings: ['near', 'far'].map((rail) => ({
          id: crypto.randomUUID(),
          path: `bar.edges.A.stations.${i}.${rail}`,
          text: '8 mm',
          unit: 'mm' as const,
          instrument: null,
          supersedes: null,
        })),
      }),
    );
    const file = beside('busy.db');
    await Promise.all([...many, backupStore(url(), file)]);
    const store = openStore(`file:${file}`);
    const saved = await currentReadings(store.db, [job]);
    store.close();
    expect(saved.length % 2).toBe(0);
  });
});

describe('putting a backup back', () => {
  it('brings back what was saved, and keeps what stood there', async () => {
    await write('M2');
    const file = beside('saved.db');
    await backupStore(url(), file);
    const current = (await currentReadings(context.store.db, [job]))[0]!;
    await putReadings(context, job, {
      by: 'Tam',
      readings: [
        {
          id: crypto.randomUUID(),
          path: 'bar.mount',
          text: 'M3',
          unit: 'mm',
          instrument: null,
          supersedes: current.id,
        },
      ],
    });
    // A store that another process has left: nobody has it open.
    await context.store.fold();
    const left = beside('left.db');
    writeFileSync(left, readFileSync(context.path));
    const kept = await restoreStore(`file:${left}`, file, 'now');
    expect(await mountIn(left)).toEqual(['M2']);
    expect(await mountIn(kept!)).toEqual(['M3']);
    expect(existsSync(file)).toBe(true);
  });

  it('is refused while the store is in use, and leaves it as it was', async () => {
    await write('M2');
    const file = beside('saved.db');
    await backupStore(url(), file);
    await expect(restoreStore(url(), file, 'now')).rejects.toThrow(/in use: stop Serrata/);
    expect((await currentReadings(context.store.db, [job])).map(({ text }) => text)).toEqual(['M2']);
    expect(existsSync(`${context.path}.before-now`)).toBe(false);
  });

  it.each([
    ['no store', 'not a database at all, but text long enough to be read as one, page by page', /no store of Serrata/],
    ['cut off', null, /damaged|no store/],
  ])('is refused of a file that is %s', async (_what, content, says) => {
    await write('M2');
    const file = beside('bad.db');
    if (content === null) {
      await backupStore(url(), file);
      const whole = readFileSync(file);
      writeFileSync(file, whole.subarray(0, Math.floor(whole.length / 2)));
    } else writeFileSync(file, content);
    context.store.close();
    await expect(restoreStore(url(), file, 'now')).rejects.toSatisfy(
      (error) => error instanceof StoreRefused && says.test(error.message),
    );
    expect(await mountIn(context.path)).toEqual(['M2']);
  });

  it('is refused of a file of a newer version', async () => {
    const file = beside('newer.db');
    await backupStore(url(), file);
    const newer = openStore(`file:${file}`);
    await newer.db.run(sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)`);
    newer.close();
    context.store.close();
    await expect(restoreStore(url(), file, 'now')).rejects.toThrow(/newer version/);
  });

  it.each([
    ['in its first page', 0, 100],
    ['in its tables', 4096, 60_000],
    ['to its last byte', 0, Number.POSITIVE_INFINITY],
  ])('takes the place of a store that is damaged %s, which is kept', async (_what, from, to) => {
    await write('M2');
    const file = beside('saved.db');
    await backupStore(url(), file);
    await context.store.fold();
    const bytes = readFileSync(context.path).fill(0x5a, from, Math.min(to, readFileSync(context.path).length));
    const damaged = beside('damaged.db');
    writeFileSync(damaged, bytes);
    const kept = await restoreStore(`file:${damaged}`, file, 'now');
    expect(await mountIn(damaged)).toEqual(['M2']);
    // All but the header's note of how it was logged, which was changed to find out whether it is free.
    expect(readFileSync(kept!).subarray(100).equals(bytes.subarray(100))).toBe(true);
  });

  it('makes a store where there was none', async () => {
    const file = beside('saved.db');
    await write('M2');
    await backupStore(url(), file);
    const empty = beside('fresh.db');
    writeFileSync(`${empty}-wal`, readFileSync(`${context.path}-wal`));
    expect(await restoreStore(`file:${empty}`, file, 'now')).toBeNull();
    expect(await mountIn(empty)).toEqual(['M2']);
    const elsewhere = beside('a/new/machine.db');
    expect(await restoreStore(`file:${elsewhere}`, file, 'now')).toBeNull();
    expect(await mountIn(elsewhere)).toEqual(['M2']);
  });
});

describe('a store that is closed', () => {
  it('is its file alone once its log is folded in', async () => {
    await write('M2');
    await context.store.fold();
    const copy = beside('copy.db');
    writeFileSync(copy, readFileSync(context.path));
    expect(await mountIn(copy)).toEqual(['M2']);
  });
});

describe('putting a backup back while the shop is open', () => {
  it('makes the store hold what the backup holds, and keeps what stood there', async () => {
    await write('M2');
    const file = beside('saved.db');
    await backupStore(url(), file);
    const current = (await currentReadings(context.store.db, [job]))[0]!;
    const next = { id: crypto.randomUUID(), path: 'bar.mount', text: 'M3', unit: 'mm', instrument: null } as const;
    await putReadings(context, job, { by: 'Tam', readings: [{ ...next, supersedes: current.id }] });
    await putBackInPlace(url(), file, beside('before.db'));
    expect((await currentReadings(context.store.db, [job])).map(({ text }) => text)).toEqual(['M2']);
    expect(await mountIn(beside('before.db'))).toEqual(['M3']);
    await mustBeWhole(context.path);
    // It is a store like any other: written to, searched, and its records guarded.
    await putReadings(context, job, { by: 'Tam', readings: [{ ...next, supersedes: current.id }] });
    expect((await currentReadings(context.store.db, [job])).map(({ text }) => text)).toEqual(['M3']);
    expect(await search(context.store.db, 'Crew', 5)).toHaveLength(2);
    await expect(context.store.db.run(sql`DELETE FROM reading`)).rejects.toThrow();
  });

  it('leaves everything as it was where it fails', async () => {
    await write('M2');
    const bad = beside('bad.db');
    writeFileSync(bad, 'no store');
    await expect(putBackInPlace(url(), bad, beside('before.db'))).rejects.toThrow(/no store of Serrata/);
    expect((await currentReadings(context.store.db, [job])).map(({ text }) => text)).toEqual(['M2']);
    expect(existsSync(beside('before.db'))).toBe(false);
  });
});
