import { createHash, randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { sql } from 'drizzle-orm';
import Papa from 'papaparse';
import sharp from 'sharp';
import { fromBuffer, type Entry } from 'yauzl';
import { ZipFile } from 'yazl';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { readSheetText } from '../../src/core/sheet';
import { storeFromArchive } from '../../src/data/keeping/archive/read';
import { ARCHIVED, LEFT_OUT } from '../../src/data/keeping/archive/tables';
import { writeArchive } from '../../src/data/keeping/archive/write';
import { photo } from '../../src/data/schema';
import { openStore, type Store } from '../../src/data/store';
import { readStockCsv } from '../../src/server/stock-csv';
import { benchView } from '../../src/server/use-cases/bench';
import { hidePhoto, storePhoto } from '../../src/server/use-cases/photos';
import { changePart, movePart } from '../../src/server/use-cases/shelf';
import { changeLimit } from '../../src/server/use-cases/shop';
import { searchView } from '../../src/server/use-cases/stock';
import { takeInBatch, undoImport } from '../../src/server/use-cases/stock-imports';
import { demoContext, type TestContext } from '../support/context';

let context: TestContext;
const beside = (name: string) => join(dirname(context.path), name);
/** What a table programme would work out, what looks so, and what is marked as text by itself. */
const FORMULAS = ['=1+1', '+44 sharp', '@SUM(1)', '-cmd', "'quoted", "''twice", '-3.5'];
const when = new Date('2026-11-26T09:00:00Z');

beforeEach(async () => {
  context = demoContext();
  // Everything that a store can hold is in it.
  const job = (await benchView(context, { page: '1' })).jobs[0]!.id;
  const png = readFileSync(new URL('../../docs/screenshots/order.png', import.meta.url));
  const bytes = png.buffer.slice(png.byteOffset, png.byteOffset + png.length) as ArrayBuffer;
  await storePhoto(context, job, 'Ines', bytes);
  const [, second] = await storePhoto(context, job, 'Ines', bytes);
  await hidePhoto(context, job, second!.id);
  await changeLimit(context, 'bar.play', { by: 'Ines', value: '0.4', source: null });
  await changeLimit(context, 'bar.play', { by: 'Ines', value: null, source: null });
  await movePart(context, 'LD-3250-72', { id: 'm1', by: 'Tam', kind: 'taken', pieces: 1, note: '\\N, "said"\nso' });
  const card = { by: 'Tam', version: 2, quantity: 9, minimum: 0, priceCents: 1 };
  await changePart(context, 'LD-3250-72', card);
  for (const [i, note] of FORMULAS.entries())
    await movePart(context, 'LD-3250-72', { id: `f${i}`, by: 'Tam', kind: 'booked', pieces: 1, note });
  const part = readStockCsv('sku,kind,name,pitch\nAR-1,chain,Größe,325');
  if (!part.ok) throw new Error('The list is right.');
  await takeInBatch(context, 'i1', { by: 'Tam', name: 'spring', parts: [...part.value] });
  await undoImport(context, 'i1', 'Tam');
});
afterEach(() => context.done());

const everything = async ({ db }: Store) =>
  Object.fromEntries(
    await Promise.all(
      ARCHIVED.map(
        async ({ name }) => [name, await db.all(sql.raw(`SELECT * FROM "${name}" ORDER BY rowid`))] as const,
      ),
    ),
  );

async function unzipped(file: string): Promise<Map<string, Buffer>> {
  const files = new Map<string, Buffer>();
  await new Promise<void>((resolve, reject) => {
    fromBuffer(readFileSync(file), { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      zip.on('entry', (entry: Entry) =>
        zip.openReadStream(entry, (_error, stream) => {
          void buffer(stream).then((bytes) => {
            files.set(entry.fileName, bytes);
            zip.readEntry();
          });
        }),
      );
      zip.on('end', () => resolve());
      zip.readEntry();
    });
  });
  return files;
}

async function zipped(files: ReadonlyMap<string, Buffer>, file: string): Promise<void> {
  const zip = new ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name);
  zip.end();
  writeFileSync(file, await buffer(zip.outputStream));
}

/** An archive as somebody else might write it: with other bytes in a file of it, and a manifest that says so. */
async function rewritten(file: string, name: string, to: (bytes: Buffer) => Buffer, version?: number): Promise<void> {
  const files = await unzipped(file);
  const manifest = JSON.parse(files.get('manifest.json')!.toString()) as {
    version: number;
    files: { name: string; sha256: string; bytes: number }[];
  };
  const bytes = to(files.get(name)!);
  files.set(name, bytes);
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  Object.assign(
    manifest.files.find((each) => each.name === name)!,
    { bytes: bytes.length, sha256 },
  );
  manifest.version = version ?? manifest.version;
  files.set('manifest.json', Buffer.from(JSON.stringify(manifest)));
  await zipped(files, file);
}

describe('an archive of the shop', () => {
  it('goes out and comes in again with every cell as it was', async () => {
    const [file, store] = [beside('shop.zip'), beside('again.db')];
    await writeArchive(context.store.url, file, when);
    await storeFromArchive(file, store);
    const again = openStore(`file:${store}`);
    expect(await everything(again)).toEqual(await everything(context.store));
    // The search finds in it what it found before, and its records are guarded as they were.
    const hits = (where: Store) => searchView({ ...context, store: where }, 'chain');
    expect(await hits(again)).toEqual(await hits(context.store));
    await expect(again.db.run(sql`DELETE FROM reading`)).rejects.toThrow();
    again.close();
  });

  it('keeps letters of several bytes wherever the file is cut into pieces', async () => {
    const [file, store] = [beside('shop.zip'), beside('again.db')];
    const letters = () => Array.from(randomBytes(700_000), (byte) => 'äöüßéèñø'[byte % 8]).join('');
    const names = [0, 1, 2, 3].map((i) => `${'a'.repeat(i)}${letters()}`);
    await context.store.whole.write(async (tx) => {
      for (const name of names) await tx.run(sql`INSERT INTO person (id, name) VALUES (${name.slice(0, 9)}, ${name})`);
    });
    await writeArchive(context.store.url, file, when);
    await storeFromArchive(file, store);
    const again = openStore(`file:${store}`);
    const kept = await again.db.all<{ name: string }>(sql`SELECT name FROM person`);
    for (const name of names) expect(kept.some((each) => each.name === name)).toBe(true);
    again.close();
  });

  it('forgets no table of the store', async () => {
    const tables = await context.store.db.all<{ name: string }>(
      sql`SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT GLOB 'sqlite_*' AND name NOT GLOB 'search*' AND name NOT GLOB '__*'`,
    );
    expect(new Set([...ARCHIVED.map(({ name }) => name), ...LEFT_OUT])).toEqual(
      new Set(tables.map(({ name }) => name)),
    );
  });

  it('holds what other programmes can read: sheets, a stock list, pictures, checksums', async () => {
    const file = beside('shop.zip');
    await writeArchive(context.store.url, file, when);
    const files = await unzipped(file);
    const manifest = JSON.parse(files.get('manifest.json')!.toString()) as {
      files: { name: string; sha256: string; bytes: number }[];
    };
    expect(new Set(manifest.files.map(({ name }) => name))).toEqual(
      new Set([...files.keys()].filter((name) => name !== 'manifest.json')),
    );
    for (const { name, sha256, bytes } of manifest.files) {
      expect(files.get(name)!.length).toBe(bytes);
      expect(createHash('sha256').update(files.get(name)!).digest('hex')).toBe(sha256);
    }
    const sheets = files.get('sheets.jsonl')!.toString().trimEnd().split('\n');
    expect(sheets.length).toBeGreaterThan(8);
    for (const sheet of sheets) expect(readSheetText(sheet).ok).toBe(true);
    const pictures = [...files].filter(([name]) => name.startsWith('photographs/'));
    expect(pictures.map(([, bytes]) => bytes.subarray(1, 4).toString())).toEqual(['PNG', 'PNG']);
  });

  it('holds nothing that a table programme works out', async () => {
    const file = beside('shop.zip');
    await writeArchive(context.store.url, file, when);
    const files = await unzipped(file);
    const tables = [...files].filter(([name]) => name.endsWith('.csv'));
    for (const [name, bytes] of tables)
      for (const row of Papa.parse<string[]>(bytes.toString(), { newline: '\n', skipEmptyLines: true }).data)
        for (const cell of row)
          expect(/^[=+\-@\t\r]/.test(cell) && Number.isNaN(Number(cell)), `${name}: ${cell}`).toBe(false);
    expect(files.get('tables/stock_movement.csv')!.toString()).toContain("'=1+1");
  });

  it('is read as ever where an older version wrote it, which marked no text', async () => {
    const [file, store] = [beside('shop.zip'), beside('again.db')];
    await writeArchive(context.store.url, file, when);
    const unmarked = (marked: Buffer) => Buffer.from(marked.toString().replace(/(^|,)'/gm, '$1'));
    await rewritten(file, 'tables/stock_movement.csv', unmarked, 1);
    await storeFromArchive(file, store);
    const again = openStore(`file:${store}`);
    expect(await everything(again)).toEqual(await everything(context.store));
    again.close();
  });

  it('keeps of a picture what shows, upright, whatever another programme wrote into it; what is none is refused', async () => {
    const [file, store] = [beside('shop.zip'), beside('again.db')];
    await writeArchive(context.store.url, file, when);
    const name = [...(await unzipped(file)).keys()].find((each) => each.startsWith('photographs/'))!;
    const taken = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#804020' } })
      .withExif({ IFD0: { Artist: 'somebody' }, IFD3: { GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .png()
      .toBuffer();
    expect(taken.includes('somebody')).toBe(true);
    await rewritten(file, name, () => taken);
    await storeFromArchive(file, store);
    const again = openStore(`file:${store}`);
    const photographs = await again.db.select().from(photo);
    again.close();
    const [brought] = photographs.filter(({ id }) => name.includes(id));
    expect(brought).toMatchObject({ width: 20, height: 40 });
    expect(brought!.bytes.includes('somebody')).toBe(false);
    // Those that were bare are what they were, byte by byte.
    const before = await context.store.db.select().from(photo);
    expect(photographs.filter((each) => each !== brought)).toEqual(before.filter(({ id }) => id !== brought!.id));
    await rewritten(file, name, () => Buffer.from('%PDF-1.7 a text'));
    await expect(storeFromArchive(file, beside('none.db'))).rejects.toThrow(`${name} is no picture`);
    expect(existsSync(beside('none.db'))).toBe(false);
  });

  it('is refused before it is unpacked where it unfolds to more than is ever written, or a row has no end', async () => {
    const [file, bomb, endless, store] = [
      beside('shop.zip'),
      beside('bomb.zip'),
      beside('endless.zip'),
      beside('again.db'),
    ];
    await writeArchive(context.store.url, file, when);
    const files = await unzipped(file);
    await zipped(new Map(files).set('tables/reading.csv', Buffer.alloc(30_000_000)), bomb);
    await expect(storeFromArchive(bomb, store)).rejects.toThrow('tables/reading.csv unfolds to more than');
    // It packs badly, and is one row.
    const row = Buffer.from(randomBytes(8_000_000).toString('base64'));
    const manifest = JSON.parse(files.get('manifest.json')!.toString()) as {
      files: { name: string; sha256: string; bytes: number }[];
    };
    Object.assign(
      manifest.files.find(({ name }) => name === 'tables/person.csv')!,
      { bytes: row.length, sha256: createHash('sha256').update(row).digest('hex') },
    );
    await zipped(
      new Map(files).set('tables/person.csv', row).set('manifest.json', Buffer.from(JSON.stringify(manifest))),
      endless,
    );
    await expect(storeFromArchive(endless, store)).rejects.toThrow('a row of it has no end');
    expect(existsSync(store)).toBe(false);
  });

  it.each([
    ['a byte of a table', 'tables/reading.csv', (bytes: Buffer) => Buffer.from(bytes.toString().replace('8', '9'))],
    [
      'a byte of the manifest',
      'manifest.json',
      (bytes: Buffer) => Buffer.from(bytes.toString().replace('"files"', '"fills"')),
    ],
    ['a table', 'tables/job.csv', () => null],
    ['the manifest', 'manifest.json', () => null],
  ])('is refused where %s is not as it was written', async (_what, name, change) => {
    const [file, bad] = [beside('shop.zip'), beside('bad.zip')];
    await writeArchive(context.store.url, file, when);
    const files = await unzipped(file);
    const changed = change(files.get(name)!);
    if (changed) files.set(name, changed);
    else files.delete(name);
    await zipped(files, bad);
    await expect(storeFromArchive(bad, beside('again.db'))).rejects.toThrow(/^This archive cannot be read: /);
    expect(existsSync(beside('again.db'))).toBe(false);
  });

  it('is refused of a newer version, cut off, or something else', async () => {
    const [file, bad] = [beside('shop.zip'), beside('bad.zip')];
    await writeArchive(context.store.url, file, when);
    const files = await unzipped(file);
    const manifest = files.get('manifest.json')!.toString();
    files.set('manifest.json', Buffer.from(manifest.replace(/"schema": "[^"]+"/, '"schema": "0999_of-tomorrow"')));
    await zipped(files, bad);
    await expect(storeFromArchive(bad, beside('again.db'))).rejects.toThrow(/newer version/);
    const whole = readFileSync(file);
    writeFileSync(bad, whole.subarray(0, whole.length / 2));
    await expect(storeFromArchive(bad, beside('again.db'))).rejects.toThrow(/no whole zip file/);
    writeFileSync(bad, 'PK\u0003\u0004 something else');
    await expect(storeFromArchive(bad, beside('again.db'))).rejects.toThrow(/no whole zip file/);
  });
});
