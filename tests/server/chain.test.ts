import { copyFileSync, rmSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import fc from 'fast-check';
import type Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { RECORD_KINDS, type Misfit } from '../../src/core/records';
import { CHAINED_NAMES, type ChainedName } from '../../src/data/chain/chained';
import { codeFrom, codeOf, contentOf, hashOf } from '../../src/data/chain/link';
import { inStore, verifyChain, verifyEnd, type Chain } from '../../src/data/chain/verify';
import { storeFromArchive } from '../../src/data/keeping/archive/read';
import { LEFT_OUT } from '../../src/data/keeping/archive/tables';
import { writeArchive } from '../../src/data/keeping/archive/write';
import { backupStore } from '../../src/data/keeping/backup';
import { backupFile, stampOf } from '../../src/data/keeping/backups';
import { putBackInPlace } from '../../src/data/keeping/put-back';
import { verifyRecords } from '../../src/data/keeping/records';
import { openStore } from '../../src/data/store';
import { handOverView } from '../../src/server/use-cases/hand-over';
import { handOverJob } from '../../src/server/use-cases/handing-over';
import { putReadings } from '../../src/server/use-cases/jobs';
import { movePart } from '../../src/server/use-cases/shelf';
import { joinShop } from '../../src/server/use-cases/people';
import { changeLimit } from '../../src/server/use-cases/shop';
import { stockView } from '../../src/server/use-cases/stock';
import { demoContext, type TestContext } from '../support/context';
import { jobOf } from '../support/signing';

type Store = Database.Database;
type Row = Readonly<Record<string, unknown>>;

let context: TestContext;
beforeEach(async () => {
  context = demoContext();
  // Some of each kind of record: the demo changes no limit, moves nothing on the shelf, and has people from the start.
  await changeLimit(context, 'bar.play', { by: 'Ines', value: '0.4', source: null });
  const { parts } = await stockView(context, new URLSearchParams());
  const { sku } = parts.find(({ quantity }) => quantity > 3)!;
  for (const id of ['one', 'two', 'three'])
    await movePart(context, sku, { id, by: 'Ines', kind: 'taken', pieces: 1, note: '' });
  for (const name of ['Una', 'Odo', 'Pia']) await joinShop(context, { name });
});
afterEach(() => context.done());

/** A copy of the store in which somebody did something with the file in hand. */
async function forged(forge: (store: Store) => void): Promise<Chain> {
  await context.store.fold();
  const copy = `${context.path}.copy`;
  copyFileSync(context.path, copy);
  try {
    inStore(copy, (store) => {
      for (const { name } of rows(store, "SELECT name FROM sqlite_master WHERE type = 'trigger'"))
        store.exec(`DROP TRIGGER "${String(name)}"`);
      store.exec('PRAGMA foreign_keys = OFF');
      forge(store);
    });
    return inStore(copy, verifyChain);
  } finally {
    for (const ending of ['', '-wal', '-shm']) rmSync(`${copy}${ending}`, { force: true });
  }
}

const rows = (store: Store, query: string, ...values: unknown[]): readonly Row[] =>
  store.prepare(query).all(...values) as readonly Row[];

/** A record in the middle of a table: neither its first nor its last. */
function middle(store: Store, { record, key }: ChainedName): Row {
  const all = rows(store, `SELECT * FROM "${record}" ORDER BY "${key}"`);
  return all[Math.floor(all.length / 2)]!;
}

const named = (what: Misfit['what'], { record, key }: ChainedName, row: Row): object =>
  expect.objectContaining({ what, record, key: String(row[key]) });

describe('the chain of records', () => {
  it('is whole, and holds every record of every table whose records never change', async () => {
    const chain = inStore(context.path, verifyChain);
    expect(chain.misfits).toEqual([]);
    const { guarded, linked } = inStore(context.path, (store) => ({
      guarded: rows(
        store,
        "SELECT tbl_name AS t FROM sqlite_master WHERE type = 'trigger' AND name GLOB '*_never_goes'",
      )
        .map(({ t }) => t)
        // Links are no records; sessions and tokens end, and are what lets somebody in.
        .filter((table) => table !== 'chain_link' && !LEFT_OUT.includes(String(table))),
      linked: rows(store, 'SELECT record, count(*) AS n FROM chain_link GROUP BY record'),
    }));
    expect(guarded.sort()).toEqual(CHAINED_NAMES.map(({ record }) => record).sort());
    // Each has its word.
    expect([...RECORD_KINDS].sort()).toEqual(guarded);
    for (const { record } of CHAINED_NAMES)
      expect(Number(linked.find((each) => each.record === record)?.n), record).toBeGreaterThan(0);
  });

  it.each(CHAINED_NAMES)('names a $record that was changed, deleted, put in, replaced or swapped', async (name) => {
    const { record, key } = name;
    let row: Row = {};
    const changed = await forged((store) => {
      row = middle(store, name);
      store.prepare(`UPDATE "${record}" SET at = ? WHERE "${key}" = ?`).run('2001-01-01T00:00:00.000Z', row[key]);
    });
    expect(changed.misfits).toEqual([named('changed', name, row)]);

    const gone = await forged((store) => store.prepare(`DELETE FROM "${record}" WHERE "${key}" = ?`).run(row[key]));
    expect(gone.misfits).toEqual([named('gone', name, row)]);

    const columns = Object.keys(row);
    const replaced = await forged((store) => {
      const other = { ...row, at: '2001-01-01T00:00:00.000Z' };
      store
        .prepare(
          `REPLACE INTO "${record}" (${columns.map((each) => `"${each}"`).join()}) VALUES (${columns.map(() => '?').join()})`,
        )
        .run(...columns.map((column) => (other as Row)[column]));
    });
    expect(replaced.misfits).toEqual([named('changed', name, row)]);

    const put = key === 'seq' ? 999_999 : 'put-in';
    const foreign = await forged((store) => {
      const other: Row = { ...row, [key]: put, ...('id' in row ? { id: 'put-in', supersedes: 'put-in' } : {}) };
      const its = columns.filter((column) => column in other && column in row);
      store
        .prepare(
          `INSERT INTO "${record}" (${its.map((each) => `"${each}"`).join()}) VALUES (${its.map(() => '?').join()})`,
        )
        .run(...its.map((column) => other[column]));
    });
    expect(foreign.misfits).toEqual([named('foreign', name, { [key]: put })]);
  });

  it('names both of two records that changed places', async () => {
    const name = CHAINED_NAMES.find(({ record }) => record === 'reading')!;
    let [one, other]: Row[] = [];
    const swapped = await forged((store) => {
      [one, other] = rows(store, 'SELECT * FROM reading ORDER BY seq LIMIT 2') as [Row, Row];
      store.prepare('UPDATE reading SET seq = -1 WHERE seq = ?').run(one!.seq);
      store.prepare('UPDATE reading SET seq = ? WHERE seq = ?').run(one!.seq, other!.seq);
      store.prepare('UPDATE reading SET seq = ? WHERE seq = -1').run(other!.seq);
    });
    expect(swapped.misfits).toEqual([named('changed', name, one!), named('changed', name, other!)]);
  });

  it('is seen cut off at its end, with a gap in it, with a changed link, and taken away', async () => {
    const cut = await forged((store) => {
      const last = rows(store, 'SELECT * FROM chain_link ORDER BY seq DESC LIMIT 1')[0]!;
      store
        .prepare(`DELETE FROM "${String(last.record)}" WHERE rowid = (SELECT max(rowid) FROM "${String(last.record)}")`)
        .run();
      store.prepare('DELETE FROM chain_link WHERE seq = ?').run(last.seq);
    });
    expect(cut.misfits).toContainEqual({ what: 'links-gone', seq: cut.head.seq + 1 });

    const gap = await forged((store) => store.exec('DELETE FROM chain_link WHERE seq = 10'));
    expect(gap.misfits[0]).toEqual({ what: 'links-gone', seq: 10 });

    const changed = await forged((store) =>
      store.exec("UPDATE chain_link SET hash = iif(hash LIKE 'a%', 'b', 'a') || substr(hash, 2) WHERE seq = 10"),
    );
    expect(changed.misfits.map((misfit) => 'seq' in misfit && misfit.seq)).toContain(10);

    const away = await forged((store) => store.exec('DELETE FROM chain_link'));
    expect(away.misfits[0]).toEqual({ what: 'no-chain' });
  });

  it('is seen written anew from the middle on, by what hand-overs and backups carry of it', async () => {
    const id = await jobOf(context, 'L-0416');
    const { revision } = await handOverView(context, id);
    const request = { by: 'Ines', revision, nextVisit: null, note: 'so' };
    await handOverJob(context, id, request, { unit: 'mm', origin: 'http://127.0.0.1:4173' });
    /** Changes a reading and links everything after it anew, so that each link fits the one before. */
    const splice = (store: Store) => {
      store.exec("UPDATE reading SET text = '1' WHERE seq = 20");
      let before = '';
      for (const link of rows(store, 'SELECT * FROM chain_link ORDER BY seq')) {
        const table = CHAINED_NAMES.find(({ record }) => record === link.record);
        const record =
          table && rows(store, `SELECT * FROM "${table.record}" WHERE CAST("${table.key}" AS TEXT) = ?`, link.key)[0];
        before = hashOf(before, link as never, record ? contentOf(record) : '');
        store.prepare('UPDATE chain_link SET hash = ? WHERE seq = ?').run(before, link.seq);
      }
    };
    const spliced = await forged(splice);
    expect(new Set(spliced.misfits.map(({ what }) => what))).toEqual(new Set(['other-chain']));

    await context.store.fold();
    const backup = backupFile(context.path, 'daily', new Date());
    await backupStore(context.store.url, backup);
    expect(verifyRecords(context.path).misfits).toEqual([]);
    context.store.close();
    inStore(context.path, (store) => {
      for (const { name } of rows(store, "SELECT name FROM sqlite_master WHERE type = 'trigger'"))
        store.exec(`DROP TRIGGER "${String(name)}"`);
      splice(store);
    });
    expect(verifyRecords(context.path).misfits).toContainEqual(expect.objectContaining({ what: 'backup' }));
  });

  it('is one, though two programmes write to the store at once', async () => {
    const id = await jobOf(context, 'L-0414');
    const other = { ...context, store: openStore(context.store.url) };
    const put = (by: TestContext | typeof other, i: number) =>
      putReadings(by, id, {
        by: 'Ines',
        readings: [
          {
            id: crypto.randomUUID(),
            path: `bar.note`,
            text: String(i),
            unit: 'mm',
            instrument: null,
            supersedes: null,
          },
        ],
      }).catch(() => undefined);
    await Promise.all(Array.from({ length: 12 }, (_, i) => put(i % 2 === 0 ? context : other, i)));
    other.store.close();
    expect(inStore(context.path, verifyChain).misfits).toEqual([]);
  });

  it('goes with an archive, link by link, and with a backup that is put back, which is written down', async () => {
    await context.store.fold();
    const { head } = inStore(context.path, verifyChain);
    const [archive, unpacked] = [`${context.path}.zip`, `${context.path}.unpacked`];
    await writeArchive(context.store.url, archive, new Date());
    await storeFromArchive(archive, unpacked);
    expect(inStore(unpacked, verifyChain)).toMatchObject({ head, misfits: [] });

    const backup = backupFile(context.path, 'by-hand', new Date());
    await backupStore(context.store.url, backup);
    await changeLimit(context, 'bar.play', { by: 'Ines', value: '0.5', source: null });
    await putBackInPlace(context.store.url, backup, `${context.path}.before-${stampOf(new Date())}`);
    expect(verifyRecords(context.path)).toMatchObject({ head: { seq: head.seq + 1 }, misfits: [] });
    const [told] = await context.store.db.all(sql`SELECT what, value FROM shop_change ORDER BY seq DESC LIMIT 1`);
    expect(told).toMatchObject({ what: 'store.put-back', value: expect.stringMatching(/^by-hand-/) as string });
  });

  it('is looked at from its end when a store is opened', async () => {
    const last = await forged((store) => store.exec("UPDATE limit_change SET value = '9'"));
    expect(last.misfits).toHaveLength(1);
    expect(inStore(context.path, verifyEnd).misfits).toEqual([]);
  });
});

describe('guards of records', () => {
  it.each(CHAINED_NAMES)('refuse that a $record is changed, deleted or replaced', ({ record, key }) => {
    inStore(context.path, (store) => {
      for (const forge of [
        `UPDATE "${record}" SET at = '2001-01-01'`,
        `DELETE FROM "${record}"`,
        `REPLACE INTO "${record}" SELECT * FROM "${record}" ORDER BY "${key}" LIMIT 1`,
        `INSERT OR REPLACE INTO "${record}" SELECT * FROM "${record}" ORDER BY "${key}" DESC LIMIT 1`,
      ])
        expect(() => store.exec(forge), forge).toThrow(/never/);
    });
    expect(inStore(context.path, verifyChain).misfits).toEqual([]);
  });

  it('refuse a reading in the place of another, by its id, by what it supersedes, or by being the first', () => {
    inStore(context.path, (store) => {
      const columns = 'job_id, path, text, unit, instrument, at, "by"';
      for (const [id, supersedes] of [
        ['id', 'supersedes'],
        ["'other'", '(SELECT supersedes FROM reading WHERE supersedes NOT NULL LIMIT 1)'],
        ["'other'", 'NULL'],
      ])
        expect(() =>
          store.exec(
            `REPLACE INTO reading (id, supersedes, ${columns}) SELECT ${id}, ${supersedes}, ${columns} FROM reading WHERE supersedes IS NULL LIMIT 1`,
          ),
        ).toThrow(/never replaced/);
    });
  });
});

describe('the short code of a link', () => {
  const hash = fc.stringMatching(/^[\da-f]{64}$/);

  it('is read as somebody types it, and is another where the place or the hash is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), hash, hash, (seq, one, other) => {
        const code = codeOf({ seq, hash: one });
        expect(code).toMatch(/^\d+(-[\dA-HJKMNP-TV-Z]{4}){3}$/);
        for (const typed of [code, code.toLowerCase(), code.replaceAll('-', ' '), ` ${code} `])
          expect(codeFrom(typed)).toBe(code);
        expect(codeFrom(code.replaceAll('0', 'o').replace(/^[^-]*/, String(seq)))).toBe(code);
        expect(codeOf({ seq: seq + 1, hash: one })).not.toBe(code);
        if (one.slice(0, 15) !== other.slice(0, 15)) expect(codeOf({ seq, hash: other })).not.toBe(code);
      }),
      { seed: 41, numRuns: 300 },
    );
  });

  it('is none where something else was typed', () => {
    for (const typed of ['', '12', 'hello', '12-34', '1-AAAA-BBBB', '1204-7K2M-Q9XT-04BC-1'])
      expect(codeFrom(typed), typed).toBeNull();
  });
});
