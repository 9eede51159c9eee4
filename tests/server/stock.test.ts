import { stockPart } from '../support/stock-part';
import { readFileSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { StockPart } from '../../src/core/stock';
import { allStock } from '../../src/data/repositories';
import { readStockCsv, writeStockCsv } from '../../src/server/stock-csv';
import { hidePhoto, MOST_PHOTOS, photoBytes, photoId, storePhoto } from '../../src/server/use-cases/photos';
import { stockView } from '../../src/server/use-cases/stock';
import { changePart, movePart, partCard } from '../../src/server/use-cases/shelf';
import { stockAsCsv, takeInBatch, undoImport } from '../../src/server/use-cases/stock-imports';
import { benchView } from '../../src/server/use-cases/bench';
import { jobView } from '../../src/server/use-cases/jobs';
import { turnAway } from '../../src/server/http/guard';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
beforeEach(() => {
  context = demoContext();
});
afterEach(() => context.done());

const list = async () => (await allStock(context.store.db)) as StockPart[];
const part = (sku: string, over: Partial<StockPart> = {}): StockPart =>
  stockPart({ sku, name: `Chain ${sku}`, driveLinks: 66, quantity: 3, minimum: 1, priceCents: 1700, ...over });
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
    await changePart(context, 'NEW-1', { by: 'Tam', version: 1, quantity: 2, minimum: 1, priceCents: 1700 });
    expect(await undoImport(context, 'i2', 'Tam')).toEqual({ restored: 1, kept: ['NEW-1'] });
    expect((await list()).map(({ sku }) => sku)).toContain('NEW-1');
  });

  it('sent twice does nothing the second time, whatever happened between', async () => {
    const sku = 'LD-3250-72';
    const quantity = async () => (await list()).find((each) => each.sku === sku)!.quantity;
    const sent = batch([{ ...(await list()).find((each) => each.sku === sku)!, quantity: 40 }]);
    const first = await takeInBatch(context, 'i5', sent);
    await movePart(context, sku, { id: 'm1', by: 'Tam', kind: 'taken', pieces: 7, note: '' });
    expect(await takeInBatch(context, 'i5', sent)).toEqual(first);
    expect(await quantity()).toBe(33);
  });

  it('leaves alone and tells what has moved since it was laid beside the shelf', async () => {
    const shelf = await stockView(context, new URLSearchParams('q=LD-3250'));
    const [one, other] = shelf.parts as readonly (StockPart & { version: number })[];
    const plain = ({ version: _version, ...each }: StockPart & { version: number }) => ({ ...each, quantity: 50 });
    await movePart(context, one!.sku, { id: 'm1', by: 'Tam', kind: 'booked', pieces: 1, note: '' });
    await takeInBatch(context, 'elsewhere', batch([part('NEW-2')]));
    const request = {
      ...batch([plain(one!), plain(other!), part('NEW-1'), part('NEW-2')]),
      was: [one!.version, other!.version, null, null],
    };
    const moved = [
      { sku: one!.sku, quantity: one!.quantity + 1 },
      { sku: 'NEW-2', quantity: 3 },
    ];
    expect(await takeInBatch(context, 'i6', request)).toEqual({ taken: 2, moved });
    const now = new Map((await list()).map(({ sku, quantity }) => [sku, quantity]));
    expect([one!.sku, other!.sku, 'NEW-1', 'NEW-2'].map((sku) => now.get(sku))).toEqual([one!.quantity + 1, 50, 3, 3]);
  });

  it('undone keeps what was taken and booked in since, and puts prices back', async () => {
    const sku = 'LD-3250-72';
    const before = (await list()).find((each) => each.sku === sku)!;
    await takeInBatch(context, 'i7', batch([{ ...before, quantity: before.quantity + 10, priceCents: 9999 }]));
    await movePart(context, sku, { id: 'm1', by: 'Tam', kind: 'taken', pieces: 2, note: '' });
    await movePart(context, sku, { id: 'm2', by: 'Tam', kind: 'booked', pieces: 1, note: '' });
    expect(await undoImport(context, 'i7', 'Tam')).toEqual({ restored: 1, kept: [] });
    const after = (await list()).find((each) => each.sku === sku)!;
    expect(after).toEqual({ ...before, quantity: before.quantity - 1 });
    const { movements } = await partCard(context, sku);
    expect(movements[0]).toMatchObject({ kind: 'list-undone', change: -10, left: before.quantity - 1 });
  });

  it('of an older version keeps, undone, the pieces that differ by now, and puts prices back', async () => {
    const sku = 'LD-3250-72';
    const before = (await list()).find((each) => each.sku === sku)!;
    await takeInBatch(context, 'i8', batch([{ ...before, quantity: before.quantity + 10, priceCents: 9999 }]));
    await context.store.db.run(sql`UPDATE stock_import_row SET moved_up_to = NULL`);
    await movePart(context, sku, { id: 'm1', by: 'Tam', kind: 'taken', pieces: 2, note: '' });
    expect(await undoImport(context, 'i8', 'Tam')).toEqual({ restored: 0, kept: [sku] });
    const after = (await list()).find((each) => each.sku === sku)!;
    expect(after).toEqual({ ...before, quantity: before.quantity + 8 });
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
    const change = { by: 'Tam', version: 1, quantity: 1, minimum: 1, priceCents: 1 };
    await expect(changePart(context, 'none', change)).rejects.toMatchObject({ status: 404 });
    await expect(undoImport(context, 'none', 'Tam')).rejects.toMatchObject({ status: 404 });
  });
});

describe('the shelf', () => {
  const card = (over: Partial<{ version: number; quantity: number; by: string }> = {}) => ({
    by: 'Tam',
    version: 1,
    quantity: 5,
    minimum: 1,
    priceCents: 1700,
    ...over,
  });
  const take = (pieces: number, over: object = {}) =>
    ({ id: crypto.randomUUID(), by: 'Ines', kind: 'taken', pieces, note: '', ...over }) as const;
  const onShelf = async () => (await partCard(context, 'S-1')).part.quantity;

  beforeEach(() => takeInBatch(context, 'i9', batch([part('S-1', { quantity: 5 })])));

  it('has taken what all took, however many take at once', async () => {
    await Promise.all(Array.from({ length: 5 }, () => movePart(context, 'S-1', take(1))));
    expect(await onShelf()).toBe(0);
    const { movements } = await partCard(context, 'S-1');
    expect(movements.map(({ kind, change, left }) => `${kind} ${change} ${left}`)).toEqual([
      'taken -1 0',
      'taken -1 1',
      'taken -1 2',
      'taken -1 3',
      'taken -1 4',
      'list 5 5',
    ]);
    await expect(movePart(context, 'S-1', take(1))).rejects.toMatchObject({ code: 'too-few' });
  });

  it('moves once what is sent twice, and never under an id of another movement', async () => {
    const once = take(2);
    await movePart(context, 'S-1', once);
    await movePart(context, 'S-1', once);
    expect(await onShelf()).toBe(3);
    await expect(movePart(context, 'S-1', { ...once, pieces: 1 })).rejects.toMatchObject({ code: 'id-taken' });
    await expect(movePart(context, 'LD-3250-72', once)).rejects.toMatchObject({ code: 'id-taken' });
    expect(await onShelf()).toBe(3);
  });

  it('of two who put a card right at once lets the first, and tells the second what stands now', async () => {
    const answers = await Promise.allSettled([
      changePart(context, 'S-1', card({ quantity: 9 })),
      changePart(context, 'S-1', card({ quantity: 7 })),
    ]);
    expect(answers.map(({ status }) => status)).toEqual(['fulfilled', 'rejected']);
    expect((answers[1] as PromiseRejectedResult).reason).toMatchObject({ code: 'changed-since', status: 409 });
    expect(await onShelf()).toBe(9);
    await movePart(context, 'S-1', take(1));
    await expect(changePart(context, 'S-1', card({ version: 2 }))).rejects.toMatchObject({ code: 'changed-since' });
    await changePart(context, 'S-1', card({ version: 3, quantity: 4 }));
    expect((await partCard(context, 'S-1')).movements[0]).toMatchObject({ kind: 'counted', change: -4, by: 'Tam' });
  });

  it('writes down who put a price right', async () => {
    await changePart(context, 'S-1', { ...card(), priceCents: 1890, minimum: 2 });
    expect((await partCard(context, 'S-1')).movements[0]).toMatchObject({
      kind: 'changed',
      note: 'minimum 1 → 2, price £17.00 → £18.90',
    });
  });

  it('keeps its movements for good', async () => {
    await movePart(context, 'S-1', take(1));
    for (const statement of [sql`DELETE FROM stock_movement`, sql`UPDATE stock_movement SET left = 9`])
      await expect(context.store.db.run(statement)).rejects.toThrow();
  });
});

describe('undoing a long list', () => {
  const many = (count: number) => Array.from({ length: count }, (_, i) => part(`U-${String(i).padStart(5, '0')}`));
  const takeAll = async (parts: StockPart[]) => {
    for (let i = 0; i < parts.length; i += 200) await takeInBatch(context, 'long', batch(parts.slice(i, i + 200)));
  };

  it('lets others in between, and leaves nothing of it in the search', async () => {
    await takeAll(many(600));
    let asked = 0;
    let isUndone = false;
    const others = async () => {
      while (!isUndone) {
        await context.store.whole.write((tx) => tx.run(sql`UPDATE shop_fact SET value = value`));
        asked += 1;
        await new Promise((resolve) => setImmediate(resolve));
      }
    };
    const asking = others();
    expect(await undoImport(context, 'long', 'Tam')).toEqual({ restored: 600, kept: [] });
    isUndone = true;
    await asking;
    expect(asked).toBeGreaterThan(3);
    expect((await stockView(context, new URLSearchParams('q=U'))).total).toBe(0);
    const left = await context.store.db.all(sql`SELECT 1 FROM search_row WHERE ref LIKE 'U-%'`);
    expect(left).toEqual([]);
  });

  it('broken off in the middle is gone on with, by whoever asks', async () => {
    await takeAll(many(300));
    const broken = {
      ...context,
      store: {
        ...context.store,
        write: (() => {
          let writes = 0;
          return ((work) => {
            writes += 1;
            return writes > 2 ? Promise.reject(new Error('pulled')) : context.store.write(work);
          }) as typeof context.store.write;
        })(),
      },
    };
    await expect(undoImport(broken, 'long', 'Tam')).rejects.toThrow('pulled');
    expect((await stockView(context, new URLSearchParams('q=U'))).total).toBe(240);
    await expect(takeInBatch(context, 'long', batch([part('U-9')]))).rejects.toMatchObject({ code: 'undone' });
    expect(await undoImport(context, 'long', 'Ines')).toEqual({ restored: 300, kept: [] });
    expect((await stockView(context, new URLSearchParams())).imports[0]).toMatchObject({ undoneBy: 'Tam' });
  });
});

describe('photographs', () => {
  const png = readFileSync(new URL('../../docs/screenshots/order.png', import.meta.url));
  const bytes = (buffer: Buffer) =>
    buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.length) as ArrayBuffer;
  const anyJob = async () => (await benchView(context, { page: '1' })).jobs[0]!.id;

  it('are stored with their job, given back, and taken away', async () => {
    const job = await anyJob();
    const [photo] = await storePhoto(context, job, 'Ines', bytes(png));
    expect(photo).toMatchObject({ type: 'image/png', width: 1280, height: 800, by: 'Ines' });
    expect((await jobView(context, job)).photos).toEqual([photo]);
    const [kept, given] = await Promise.all(
      [(await photoBytes(context, photo!.id)).bytes, png].map((each) => sharp(each).raw().toBuffer()),
    );
    expect(kept!.equals(given!)).toBe(true);
    expect(await hidePhoto(context, job, photo!.id)).toEqual([]);
    await expect(photoBytes(context, photo!.id)).rejects.toMatchObject({ status: 404 });
  });

  it('are kept upright, and without what a camera wrote into them, however small', async () => {
    const bare = { create: { width: 40, height: 20, channels: 3, background: '#804020' } } as const;
    const taken = await sharp(bare)
      .withExif({ IFD0: { Artist: 'somebody' }, IFD3: { GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect(taken.includes('somebody')).toBe(true);
    const [photo] = await storePhoto(context, await anyJob(), 'Ines', bytes(taken));
    expect(photo).toMatchObject({ width: 20, height: 40 });
    const kept = (await photoBytes(context, photo!.id)).bytes;
    expect(kept.includes('somebody')).toBe(false);
    const { exif, xmp, orientation = 1 } = await sharp(kept).metadata();
    expect([exif, xmp, orientation]).toEqual([undefined, undefined, 1]);
  });

  it('sent twice under one id are one, and an id is no other picture’s', async () => {
    const [job, other] = (await benchView(context, { page: '1' })).jobs.map((each) => each.id);
    const id = crypto.randomUUID();
    await storePhoto(context, job!, 'Ines', bytes(png), id);
    expect(await storePhoto(context, job!, 'Ines', bytes(png), id)).toHaveLength(1);
    await expect(storePhoto(context, other!, 'Ines', bytes(png), id)).rejects.toMatchObject({ status: 409 });
    expect(photoId(new URLSearchParams({ id }))).toBe(id);
    expect(() => photoId(new URLSearchParams({ id: 'one' }))).toThrow('UUID');
  });

  it('that are cut off in the middle are none', async () => {
    const half = bytes(png.subarray(0, png.length / 2));
    await expect(storePhoto(context, await anyJob(), 'Ines', half)).rejects.toMatchObject({ code: 'not-a-photo' });
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
