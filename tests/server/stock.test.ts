import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { StockPart } from '../../src/core/stock';
import { allStock } from '../../src/data/repositories';
import { loadDemo } from '../../src/server/demo';
import { readStockCsv, writeStockCsv } from '../../src/server/stock-csv';
import { hidePhoto, MOST_PHOTOS, photoBytes, storePhoto } from '../../src/server/use-cases/photos';
import { stockView } from '../../src/server/use-cases/stock';
import { changePart, stockAsCsv, takeInBatch, undoImport } from '../../src/server/use-cases/stock-imports';
import { benchView } from '../../src/server/use-cases/bench';
import { jobView } from '../../src/server/use-cases/jobs';
import { turnAway } from '../../src/server/http/guard';
import { testContext } from '../support/context';

let context: Awaited<ReturnType<typeof testContext>>;
beforeEach(async () => {
  context = await testContext();
  await loadDemo(context);
});
afterEach(() => context.done());

const list = async () => (await allStock(context.store.db)) as StockPart[];
const part = (sku: string, over: Partial<StockPart> = {}): StockPart => ({
  sku,
  kind: 'chain',
  name: `Chain ${sku}`,
  pitch: '325',
  gauge: '.050',
  driveLinks: 66,
  kickbackClass: 'low-kickback',
  mount: null,
  oilHole: null,
  listedInches: null,
  teeth: null,
  quantity: 3,
  minimum: 1,
  priceCents: 1700,
  ...over,
});
const batch = (parts: StockPart[]) => ({ by: 'Ines', name: 'spring.csv', parts });

describe('taking in a list', () => {
  it('adds what is new, replaces what is known, and is undone as one', async () => {
    const before = await list();
    const known = before.find(({ sku }) => sku === 'LD-3250-72')!;
    await takeInBatch(context, 'i1', batch([part('NEW-1'), { ...known, quantity: 99 }]));
    await takeInBatch(context, 'i1', batch([part('NEW-2')]));
    expect((await list()).length).toBe(before.length + 2);
    const view = await stockView(context, new URLSearchParams('q=NEW-1'));
    expect(view).toMatchObject({ total: 1, imports: [{ id: 'i1', parts: 3, undoneAt: null }] });
    expect(await undoImport(context, 'i1', 'Tam')).toEqual({ restored: 3, kept: [] });
    expect(await list()).toEqual(before);
    expect((await stockView(context, new URLSearchParams('q=NEW-1'))).total).toBe(0);
    await expect(undoImport(context, 'i1', 'Tam')).rejects.toMatchObject({ code: 'undone' });
    await expect(takeInBatch(context, 'i1', batch([part('NEW-3')]))).rejects.toMatchObject({ code: 'undone' });
  });

  it('of prices alone changes prices alone, and undoing puts them back', async () => {
    const shelf = (await list()).find(({ sku }) => sku === 'LD-3250-72')!;
    // As a list without further columns reads: everything else is empty.
    const nothing = { pitch: null, gauge: null, driveLinks: null, kickbackClass: null, quantity: 0, minimum: 0 };
    const listed = part(shelf.sku, { ...nothing, name: shelf.name, priceCents: 4321 });
    await takeInBatch(context, 'i3', { ...batch([listed]), columns: ['sku', 'kind', 'name', 'price'] });
    const now = async () => (await list()).find(({ sku }) => sku === shelf.sku);
    expect(await now()).toEqual({ ...shelf, priceCents: 4321 });
    await undoImport(context, 'i3', 'Ines');
    expect(await now()).toEqual(shelf);
  });

  it('sent twice does no harm, and what was changed since stays when it is undone', async () => {
    await takeInBatch(context, 'i2', batch([part('NEW-1'), part('NEW-2')]));
    await takeInBatch(context, 'i2', batch([part('NEW-1')]));
    await changePart(context, 'NEW-1', { quantity: 2, minimum: 1, priceCents: 1700 });
    expect(await undoImport(context, 'i2', 'Tam')).toEqual({ restored: 1, kept: ['NEW-1'] });
    expect((await list()).map(({ sku }) => sku)).toContain('NEW-1');
  });

  it('and giving it out again is the same list', async () => {
    const read = readStockCsv(await stockAsCsv(context));
    expect(read).toEqual({ ok: true, value: await list() });
  });

  it('keeps a name that a table program would compute', () => {
    const tricky = part('T-1', { name: '=1+1' });
    const text = writeStockCsv([tricky]);
    expect(text).toContain("'=1+1");
    expect(readStockCsv(text)).toEqual({ ok: true, value: [tricky] });
  });

  it('filters what is below its minimum', async () => {
    const { parts } = await stockView(context, new URLSearchParams('low=yes'));
    expect(parts.length).toBeGreaterThan(0);
    expect(parts.every(({ quantity, minimum }) => quantity < minimum)).toBe(true);
  });

  it('does not know a part that is not there', async () => {
    await expect(changePart(context, 'none', { quantity: 1, minimum: 1, priceCents: 1 })).rejects.toMatchObject({
      status: 404,
    });
    await expect(undoImport(context, 'none', 'Tam')).rejects.toMatchObject({ status: 404 });
  });
});

describe('photographs', () => {
  const png = readFileSync(new URL('../../docs/screenshots/slip.png', import.meta.url));
  const bytes = (buffer: Buffer) =>
    buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.length) as ArrayBuffer;
  const anyJob = async () => (await benchView(context, { page: '1' })).jobs[0]!.id;

  it('are stored with their job, given back, and taken away', async () => {
    const job = await anyJob();
    const [photo] = await storePhoto(context, job, 'Ines', bytes(png));
    expect(photo).toMatchObject({ type: 'image/png', width: 1280, height: 800, by: 'Ines' });
    expect((await jobView(context, job)).photos).toEqual([photo]);
    expect((await photoBytes(context, photo!.id)).bytes.equals(png)).toBe(true);
    expect(await hidePhoto(context, job, photo!.id)).toEqual([]);
    await expect(photoBytes(context, photo!.id)).rejects.toMatchObject({ status: 404 });
  });

  it('must be pictures, and not too many', async () => {
    const job = await anyJob();
    await expect(storePhoto(context, job, 'Ines', bytes(Buffer.from('GIF89a not a picture')))).rejects.toMatchObject({
      code: 'not-a-photo',
    });
    for (let i = 0; i < MOST_PHOTOS; i += 1) await storePhoto(context, job, 'Ines', bytes(png));
    await expect(storePhoto(context, job, 'Ines', bytes(png))).rejects.toMatchObject({ code: 'too-many' });
  });

  it('are turned away at the door when they are something else, or too large', () => {
    const headers = (type: string, length: number) =>
      new Headers({ 'content-type': type, 'content-length': String(length) });
    const path = '/api/jobs/x/photos';
    expect(turnAway('POST', headers('image/jpeg', 2_000_000), path)).toBeNull();
    expect(turnAway('POST', headers('image/gif', 10), path)).toMatchObject({ status: 415 });
    expect(turnAway('POST', headers('image/jpeg', 9_000_000), path)).toMatchObject({ status: 413 });
    expect(turnAway('POST', headers('image/jpeg', 10), '/api/jobs')).toMatchObject({ status: 415 });
    expect(turnAway('DELETE', new Headers(), `${path}/1`)).toBeNull();
    expect(turnAway('DELETE', new Headers({ 'sec-fetch-site': 'cross-site' }), `${path}/1`)).toMatchObject({
      status: 403,
    });
  });
});
