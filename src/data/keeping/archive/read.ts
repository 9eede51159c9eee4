import { createHash } from 'node:crypto';
import { rmSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import { Transform, type Readable } from 'node:stream';
import Database from 'libsql';
import Papa from 'papaparse';
import { open, type Entry, type ZipFile } from 'yauzl';
import { beginChain } from '../../chain/begin';
import { beginsWith } from '../first-bytes';
import { mustBeWhole, removeStore, StoreRefused } from '../backup';
import { journal } from '../../journal';
import { migrateStore } from '../../migrate';
import { baredPicture, type BarePicture } from '../../pictures/bare-picture';
import { openStore } from '../../store';
import { readCell } from './cells';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  MANIFEST,
  manifestSchema,
  type ArchivedFile,
  type Manifest,
} from './manifest';
import { ARCHIVED, tableFile, type ArchivedTable } from './tables';

/** More than any shop's archive holds; what claims more is not unpacked. */
const MOST_ENTRIES = 1_000_000;
const MOST_BYTES = 20_000_000_000;
const MOST_MANIFEST_BYTES = 300_000_000;
const MOST_PICTURE_BYTES = 50_000_000;
/** No table shrinks so much in packing; small files are let be. */
const MOST_TIMES_UNFOLDED = 300;
const SMALL_BYTES = 1_000_000;
/**
 * More than any row holds. What has no end is looked through from its beginning with every piece that comes, and taken
 * into memory whole.
 */
const MOST_ROW_BYTES = 8_000_000;

const refused = (why: string): StoreRefused => new StoreRefused(`This archive cannot be read: ${why}`);

/** Whether a file begins as a zip does. */
export const isArchive = (file: string): boolean => beginsWith(file, 'PK\u0003\u0004');

/** An archive that is open, and its files by name. */
interface Opened {
  readonly zip: ZipFile;
  readonly entries: ReadonlyMap<string, Entry>;
}

function opened(file: string): Promise<Opened> {
  return new Promise((resolve, reject) => {
    open(file, { lazyEntries: true, autoClose: false, strictFileNames: true }, (error, zip) => {
      if (error) return reject(refused('it is no whole zip file.'));
      const entries = new Map<string, Entry>();
      let bytes = 0;
      zip.on('error', () => reject(refused('it is no whole zip file.')));
      zip.on('entry', (entry: Entry) => {
        bytes += entry.uncompressedSize;
        if (bytes > MOST_BYTES || entries.size >= MOST_ENTRIES)
          return reject(refused('it claims to hold more than any shop has.'));
        if (entry.uncompressedSize > Math.max(SMALL_BYTES, MOST_TIMES_UNFOLDED * entry.compressedSize))
          return reject(refused(`${entry.fileName} unfolds to more than anything that Serrata writes.`));
        entries.set(entry.fileName, entry);
        zip.readEntry();
      });
      zip.on('end', () => resolve({ zip, entries }));
      zip.readEntry();
    });
  });
}

function stream({ zip, entries }: Opened, name: string): Promise<Readable> {
  return new Promise((resolve, reject) => {
    const entry = entries.get(name);
    if (!entry) return reject(refused(`${name} is missing in it.`));
    zip.openReadStream(entry, (error, found) => (error ? reject(refused(`${name} is damaged.`)) : resolve(found)));
  });
}

async function manifestOf(archive: Opened): Promise<Manifest> {
  const entry = archive.entries.get(MANIFEST);
  if (!entry || entry.uncompressedSize > MOST_MANIFEST_BYTES)
    throw refused('it has no manifest, so it is no archive of Serrata.');
  let document: unknown;
  try {
    document = JSON.parse((await buffer(await stream(archive, MANIFEST))).toString('utf8'));
  } catch {
    throw refused('its manifest is damaged.');
  }
  const read = manifestSchema.safeParse(document);
  if (!read.success) throw refused(`its manifest is not that of a ${ARCHIVE_FORMAT}, version 1 to ${ARCHIVE_VERSION}.`);
  if (!journal().entries.some(({ tag }) => tag === read.data.schema))
    throw refused('it was made by a newer version of Serrata: use that one.');
  return read.data;
}

/** Reads a file through, and makes sure that it is the one of the manifest. */
async function checked(archive: Opened, { name, bytes, sha256 }: ArchivedFile): Promise<void> {
  const hash = createHash('sha256');
  let length = 0;
  try {
    for await (const chunk of (await stream(archive, name)) as AsyncIterable<Buffer>) {
      hash.update(chunk);
      length += chunk.length;
    }
  } catch (error) {
    throw error instanceof StoreRefused ? error : refused(`${name} is damaged.`);
  }
  if (length !== bytes || hash.digest('hex') !== sha256)
    throw refused(`${name} is not what its manifest says: its checksum differs.`);
}

/** Bytes that the reader of rows is given at once: a row that is not whole yet is read anew with every piece. */
const PIECE_BYTES = 1_000_000;

/** A stream in larger pieces, that ends in the middle of a row without end. */
function inPieces(source: Readable, bytesSinceRow: (more: number) => number): Readable {
  let held: Buffer[] = [];
  let bytes = 0;
  const pieces = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      held.push(chunk);
      bytes += chunk.length;
      if (bytes < PIECE_BYTES) return done();
      if (bytesSinceRow(bytes) > MOST_ROW_BYTES) return done(refused('a row of it has no end.'));
      const piece = Buffer.concat(held);
      [held, bytes] = [[], 0];
      done(null, piece);
    },
    flush: (done) => done(null, Buffer.concat(held)),
  });
  source.on('error', (error) => pieces.destroy(error));
  // Read as text here: a letter of several bytes may stand across two pieces.
  return source.pipe(pieces).setEncoding('utf8');
}

/** Rows of a table, one after the other, from its CSV. */
async function eachRow(source: Readable, onRow: (cells: readonly string[]) => void): Promise<void> {
  let sinceRow = 0;
  const bounded = inPieces(source, (more) => (sinceRow += more));
  await new Promise<void>((resolve, reject) => {
    Papa.parse<string[]>(bounded, {
      delimiter: ',',
      newline: '\n',
      skipEmptyLines: true,
      step: ({ data }, parser) => {
        sinceRow = 0;
        try {
          onRow(data);
        } catch (error) {
          parser.abort();
          reject(error instanceof Error ? error : new Error(String(error)));
        }
      },
      complete: () => resolve(),
      error: reject,
    });
  });
}

/** A picture, without what anybody wrote into it that does not show. */
async function pictureOf(archive: Opened, name: string): Promise<BarePicture> {
  if ((archive.entries.get(name)?.uncompressedSize ?? 0) > MOST_PICTURE_BYTES)
    throw refused(`${name} is larger than any picture that is kept.`);
  const picture = await baredPicture(await buffer(await stream(archive, name)));
  if (!picture) throw refused(`${name} is no picture.`);
  return picture;
}

/**
 * Puts the rows of one table in. A column that this version does not know is refused; one that the archive does not
 * have keeps its default.
 */
async function fill(
  store: Database.Database,
  archive: Opened,
  about: ArchivedTable,
  file: ArchivedFile,
  version: Manifest['version'],
): Promise<void> {
  let columns: readonly string[] | null = null;
  let insert: Database.Statement | null = null;
  let rows = 0;
  const photographs: { name: string; rowid: unknown }[] = [];
  await eachRow(await stream(archive, file.name), (cells) => {
    if (!columns) {
      const unknown = cells.find((column) => !about.columns.includes(column));
      if (unknown !== undefined) throw refused(`${file.name} has a column ${unknown} that this version does not know.`);
      columns = cells;
      // What an empty store begins with gives way to what is brought.
      store.exec(`DELETE FROM "${about.name}"`);
      const names = cells.map((column) => `"${column}"`).join(', ');
      insert = store.prepare(`INSERT INTO "${about.name}" (${names}) VALUES (${cells.map(() => '?').join(', ')})`);
      return;
    }
    const values = columns.map((column, i) => {
      const value = readCell(cells[i] ?? '', version);
      return column === about.bytes ? Buffer.alloc(0) : value;
    });
    const { lastInsertRowid } = insert!.run(...values);
    const picture = about.bytes && readCell(cells[columns.indexOf(about.bytes)] ?? '', version);
    if (picture) photographs.push({ name: picture, rowid: lastInsertRowid });
    rows += 1;
  });
  if (rows !== file.rows) throw refused(`${file.name} has ${rows} rows where ${file.rows ?? 0} were written.`);
  for (const { name, rowid } of photographs) {
    const picture = await pictureOf(archive, name);
    store
      .prepare(`UPDATE "${about.name}" SET "${about.bytes!}" = ?, width = ?, height = ? WHERE rowid = ?`)
      .run(picture.bytes, picture.width, picture.height, rowid);
  }
}

async function fillStore(file: string, archive: Opened, { files, version }: Manifest): Promise<void> {
  const store = new Database(file, { timeout: 10_000 });
  try {
    store.exec('BEGIN IMMEDIATE');
    for (const about of ARCHIVED) {
      const found = files.find(({ name }) => name === tableFile(about.name));
      if (found) await fill(store, archive, about, found, version);
    }
    if (store.prepare('PRAGMA foreign_key_check').all().length > 0)
      throw refused('some of its rows refer to others that are not in it.');
    store.exec('COMMIT');
  } catch (error) {
    if (error instanceof StoreRefused) throw error;
    throw refused(`its tables do not go together (${error instanceof Error ? error.message : String(error)}).`);
  } finally {
    store.close();
  }
}

/**
 * Makes a store of an archive: a file that can be put back like any backup.
 * @param target a file that is not there yet
 * @throws StoreRefused with what is wrong with the archive; nothing is left behind then
 */
export async function storeFromArchive(archiveFile: string, target: string): Promise<void> {
  const archive = await opened(archiveFile);
  try {
    const manifest = await manifestOf(archive);
    for (const file of manifest.files) await checked(archive, file);
    const empty = openStore(`file:${target}`);
    await migrateStore(empty);
    await empty.fold();
    empty.close();
    await fillStore(target, archive, manifest);
    const filled = openStore(`file:${target}`);
    // Where an older version wrote it, its records are not in a chain yet.
    await beginChain(filled, new Date());
    await filled.fold();
    filled.close();
    for (const left of ['-wal', '-shm']) rmSync(`${target}${left}`, { force: true });
    await mustBeWhole(target);
  } catch (error) {
    removeStore(target);
    throw error;
  } finally {
    archive.zip.close();
  }
}
