import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { sql } from 'drizzle-orm';
import { readSheet } from '../../src/core/sheet';
import { appraise, DEFAULT_RULES } from '../../src/core/assess';
import { WAITS } from '../../src/core/reading';
import { DEMO_FURTHER_JOBS, DEMO_JOBS, DEMO_SHEETS, DEMO_STOCK } from '../../src/data/demo';
import { EditedMigration, migrateStore } from '../../src/data/migrate';
import { storeUrl } from '../../src/data/store';
import { loadDemo } from '../../src/server/demo';
import { turnAway, MAX_BODY_BYTES } from '../../src/server/http/guard';
import { readStockCsv } from '../../src/server/stock-csv';
import { appraisedJob } from '../../src/server/use-cases/appraised';
import { benchView } from '../../src/server/use-cases/bench';
import { jobView } from '../../src/server/use-cases/jobs';
import { orderFrom, searchView, slipView, stockAnswers, stockView } from '../../src/server/use-cases/stock';
import { createJob } from '../../src/server/use-cases/take-in';
import { PROGRAMME_VERSION } from '../../src/server/version';
import { demoContext, testContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = testContext();
});
afterEach(() => context.done());

describe('the store', () => {
  it('keeps foreign keys on, and waits for others, on every connection', async () => {
    const pragmas = await Promise.all(
      Array.from({ length: 4 }, () => context.store.db.all<{ foreign_keys: number }>(sql`PRAGMA foreign_keys`)),
    );
    expect(pragmas.flat().map((row) => Object.values(row)[0])).toEqual([1, 1, 1, 1]);
    const journal = await context.store.db.all(sql`PRAGMA journal_mode`);
    expect(Object.values(journal[0] as object)).toEqual(['wal']);
  });

  it('can be migrated twice, and refuses a migration that was edited', async () => {
    await migrateStore(context.store);
    const folder = mkdtempSync(join(tmpdir(), 'serrata-migrations-'));
    cpSync(resolve('src/data/migrations'), folder, { recursive: true });
    const file = join(folder, '0000_first.sql');
    writeFileSync(file, `${readFileSync(file, 'utf8')}\n-- edited`);
    await expect(migrateStore(context.store, folder)).rejects.toBeInstanceOf(EditedMigration);
  });

  it('takes a path or an address', () => {
    expect(storeUrl('libsql://shop.example')).toBe('libsql://shop.example');
    expect(storeUrl('./x.db')).toMatch(/^file:\/.*x\.db$/);
  });

  it('rolls a failed write back and goes on', async () => {
    await expect(
      context.store.whole.write(async (tx) => {
        await tx.run(sql`INSERT INTO person (id, name) VALUES ('p', 'Ines')`);
        throw new Error('no');
      }),
    ).rejects.toThrow('no');
    expect(await context.store.db.all(sql`SELECT * FROM person`)).toEqual([]);
    await context.store.whole.write((tx) => tx.run(sql`INSERT INTO person (id, name) VALUES ('p', 'Ines')`));
    expect(await context.store.db.all(sql`SELECT * FROM person`)).toHaveLength(1);
  });
});

describe('the demo scenario', () => {
  it('shows every verdict, an order, a clash, and a job just taken in', () => {
    const all = Object.values(DEMO_SHEETS).map((written) => {
      const sheet = readSheet(written);
      if (!sheet.ok) throw new Error(JSON.stringify(sheet.error));
      return appraise(sheet.value, DEFAULT_RULES, null);
    });
    const actions = new Set(all.flatMap(({ verdicts }) => Object.values(verdicts).map(({ action }) => action)));
    expect([...actions].sort()).toEqual(['clean', 'keep', 'recondition', 'replace', 'undecided']);
    expect(all.some(({ order }) => 'order' in order)).toBe(true);
    expect(all.some(({ fit }) => fit.some(({ holds }) => holds === false))).toBe(true);
    expect(DEMO_JOBS.length).toBeGreaterThanOrEqual(8);
    expect(DEMO_STOCK.length).toBeGreaterThanOrEqual(30);
    expect(new Set(DEMO_STOCK.map(({ sku }) => sku)).size).toBe(DEMO_STOCK.length);
  });

  it('loads once, and leaves a store with jobs alone', async () => {
    expect(await loadDemo(context)).toEqual({ loaded: DEMO_JOBS.length + DEMO_FURTHER_JOBS.length });
    expect(await loadDemo(context)).toEqual({ loaded: 0 });
    const bench = await benchView(context, { page: '1' });
    expect(bench.total).toBe(DEMO_JOBS.length + DEMO_FURTHER_JOBS.filter(({ goneSince }) => goneSince === null).length);
    // Every thing that a job can wait for but the closest call has a job to show it.
    expect(Object.keys(bench.waiting).sort()).toEqual(WAITS.filter((waits) => waits !== 'too-close').sort());
    expect(bench.due.length).toBeGreaterThan(0);
  });
});

describe('search, stock and the slip', () => {
  beforeEach(async () => {
    await context.done();
    context = demoContext();
  });

  it('finds customers, saws, tags and parts by the beginnings of words', async () => {
    const kinds = async (text: string) =>
      (await searchView(context, text)).map(({ kind, title }) => `${kind} ${title}`);
    expect(await kinds('tow')).toContain('customer Towpath crew');
    expect(await kinds('ondral 52')).toContain('saw Ondral 52');
    expect(await kinds('L-0417')).toEqual(['job L-0417']);
    expect((await kinds('LD-3250-72'))[0]).toMatch(/^part /);
    expect(await kinds('"; DROP TABLE job')).toEqual([]);
    expect(await kinds('"L-0417')).toEqual(['job L-0417']);
    expect(await kinds('L-0417\0^*')).toEqual(['job L-0417']);
  });

  it('puts what is called so before all that only mentions it, however much of that there is', async () => {
    const customer = { name: 'Towpath crew' };
    const saw = { label: 'Copy of L-0417', mount: null };
    for (let i = 0; i < 20; i += 1)
      await createJob(context, { by: 'Wilf', customer, saw, complaint: '', promisedFor: null });
    for (const typed of ['L-0417', ' l-0417 ']) {
      expect((await searchView(context, typed))[0], typed).toMatchObject({ kind: 'job', title: 'L-0417' });
    }
  });

  it('narrows the stock by the three numbers and ignores what it cannot understand', async () => {
    const view = await stockView(context, new URLSearchParams('pitch=325&gauge=.050&links=72&kind=chain&page=x'));
    expect(view.parts.map(({ sku }) => sku).sort()).toEqual(['LD-3250-72', 'LD-3250-72K', 'LD-3250-72P']);
    expect((await stockView(context, new URLSearchParams('pitch=nonsense'))).total).toBe(DEMO_STOCK.length);
  });

  it('answers an order with what fits first, and never steps up from low-kickback', async () => {
    const answers = await stockAnswers(context, {
      pitch: '325',
      gauge: '.050',
      driveLinks: 72,
      kickbackClass: 'low-kickback',
      sequence: null,
    });
    expect(answers.map(({ part, misses }) => [part.sku, misses.length])).toEqual([
      ['LD-3250-72K', 0],
      ['LD-3250-72', 0],
      ['LD-3250-72P', 1],
    ]);
    expect(orderFrom(new URLSearchParams('pitch=325&gauge=.050&links=many'))).toBeNull();
  });

  it('writes the slip only when the three numbers are settled', async () => {
    const { jobs } = await benchView(context, { page: '1' });
    const id = (tag: string) => jobs.find((job) => job.tag === tag)!.id;
    expect((await slipView(context, await appraisedJob(context, id('L-0423')))).order).toEqual({
      pitch: '3/8 LP',
      pitchNote: '3/8 low profile',
      gauge: '.050',
      gaugeNote: '1.3 mm',
      driveLinks: 56,
      kickbackClass: 'low-kickback',
      sequence: 'full complement',
    });
    const clash = await slipView(context, await appraisedJob(context, id('L-0421')));
    expect(clash.order).toBeNull();
    expect(clash.withheld.join()).toContain('Gauge');
    await expect(jobView(context, 'nobody')).rejects.toMatchObject({ status: 404 });
  });
});

describe('the stock list in CSV', () => {
  it('names every bad row with its line and column', () => {
    const text =
      'sku,kind,name,pitch,gauge,driveLinks,quantity,price\nA1,chain,A chain,325,.050,72,2,17.90\n,chain,No number,325,.050,72,2,1\nA3,chain,B,3/8,.050,many,2,1\n';
    const read = readStockCsv(text);
    expect(read.ok ? [] : read.error.map(({ line, column }) => `${line} ${column}`)).toEqual([
      '3 sku',
      '4 pitch',
      '4 driveLinks',
    ]);
    const good = readStockCsv(text.split('\n').slice(0, 2).join('\n'));
    expect(good.ok && good.value[0]).toMatchObject({ sku: 'A1', priceCents: 1790, kickbackClass: null, minimum: 0 });
    expect(readStockCsv('a,b\n1,2').ok).toBe(false);
  });
});

describe('the door', () => {
  const headers = (more: Record<string, string> = {}) =>
    new Headers({ 'content-type': 'application/json', 'content-length': '2', host: '127.0.0.1:4173', ...more });
  it.each([
    ['our own page', { 'sec-fetch-site': 'same-origin' }, null],
    ['a program', {}, null],
    ['our own page in an old browser', { origin: 'http://127.0.0.1:4173' }, null],
    ['another site', { 'sec-fetch-site': 'cross-site' }, 403],
    ['another site in an old browser', { origin: 'http://elsewhere.example' }, 403],
    ['a form', { 'content-type': 'application/x-www-form-urlencoded' }, 415],
    ['a flood', { 'content-length': String(MAX_BODY_BYTES + 1) }, 413],
  ])('treats a write from %s as it should', (_name, more, status) => {
    expect(turnAway('POST', headers(more))?.status ?? null).toBe(status);
  });

  it('wants to know the length, and lets reads pass', () => {
    const unknown = headers();
    unknown.delete('content-length');
    expect(turnAway('POST', unknown)?.status).toBe(411);
    expect(turnAway('GET', new Headers({ 'sec-fetch-site': 'cross-site' }))).toBeNull();
  });
});

describe('the version', () => {
  it('is the one of the package', () => {
    expect(PROGRAMME_VERSION).toBe((JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }).version);
  });
});
