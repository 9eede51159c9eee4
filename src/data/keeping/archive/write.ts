import { createHash } from 'node:crypto';
import { createWriteStream, existsSync, renameSync, rmSync } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Database from 'libsql';
import Papa from 'papaparse';
import { ZipFile } from 'yazl';
import type { Study } from '../../../core/hand';
import { sheetFromEntries, type EntryBy } from '../../../core/sheet';
import { codeOf } from '../../chain/link';
import { headIn } from '../../chain/verify';
import { fileOf, StoreRefused } from '../backup';
import { OWNER_ALONE } from '../../owner-alone';
import { journal } from '../../journal';
import { studiesFrom, type StudyRow } from '../../repositories/studies';
import { writtenCell, type Cell } from './cells';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, MANIFEST, type ArchivedFile, type Manifest } from './manifest';
import { ARCHIVED, SHEETS, tableFile, type ArchivedTable } from './tables';

type Row = Readonly<Record<string, Cell | Buffer>>;

/** A part of the archive, made as it is written. */
interface Part {
  readonly name: string;
  readonly chunks: () => Iterable<string | Buffer>;
  readonly rows?: () => number;
}

const ENDINGS: Readonly<Record<string, string>> = { 'image/png': 'png', 'image/jpeg': 'jpg' };
const photoFile = ({ id, type }: Row): string => `photographs/${String(id)}.${ENDINGS[String(type)] ?? 'bin'}`;

function cellOf(row: Row, column: string, { bytes }: ArchivedTable): string {
  const cell = row[column] ?? null;
  if (column !== bytes) return writtenCell(cell as Cell);
  return (cell as Buffer).length === 0 ? writtenCell(null) : photoFile(row);
}

const line = (cells: readonly string[]): string => `${Papa.unparse([[...cells]], { newline: '\n' })}\n`;

function table(store: Database.Database, about: ArchivedTable): Part {
  let rows = 0;
  return {
    name: tableFile(about.name),
    rows: () => rows,
    *chunks() {
      yield line(about.columns);
      const columns = about.columns.map((column) => `"${column}"`).join(', ');
      // Rows in the order in which they were written: what comes later counts.
      for (const row of store.prepare(`SELECT ${columns} FROM "${about.name}" ORDER BY rowid`).iterate()) {
        rows += 1;
        yield line(about.columns.map((column) => cellOf(row as Row, column, about)));
      }
    },
  };
}

const STANDING = `SELECT path, text, unit, instrument, "by" FROM reading
  WHERE job_id = ? AND NOT EXISTS (SELECT 1 FROM reading AS later WHERE later.supersedes = reading.id) ORDER BY seq`;

const STUDIES = `SELECT id, instrument, takes, known, known_doubt AS knownDoubt, note, sets_aside AS setsAside, at, "by"
  FROM hand_study ORDER BY seq`;

/** Studies of hands and tools that stand: the sheets of who measured carry them. */
function studiesIn(store: Database.Database): readonly Study[] {
  const rows = store.prepare(STUDIES).all() as (StudyRow & { takes: string })[];
  const read = studiesFrom(rows.map((row) => ({ ...row, takes: JSON.parse(row.takes) as unknown })));
  return read
    .filter(({ setAside }) => setAside === null)
    .map(({ by, instrument, on, takes, known }) => ({ by, instrument, on, takes, known }));
}

/** The bench sheet of each job as it stands, one a line: to be read by anything that knows the format. */
function sheets(store: Database.Database): Part {
  return {
    name: SHEETS,
    *chunks() {
      const standing = store.prepare(STANDING);
      const studies = studiesIn(store);
      for (const row of store.prepare('SELECT id, tag FROM job ORDER BY rowid').iterate()) {
        const { id, tag } = row as { id: string; tag: string };
        const { written } = sheetFromEntries(standing.all(id) as EntryBy[], studies);
        yield `${JSON.stringify({ ...written, job: { ...written.job, reference: tag } })}\n`;
      }
    },
  };
}

function* parts(store: Database.Database): Iterable<Part> {
  for (const about of ARCHIVED) yield table(store, about);
  const photos = store.prepare('SELECT id, type FROM photo WHERE length(bytes) > 0 ORDER BY rowid').all() as Row[];
  for (const photo of photos)
    yield {
      name: photoFile(photo),
      *chunks() {
        yield (store.prepare('SELECT bytes FROM photo WHERE id = ?').get(photo.id) as { bytes: Buffer }).bytes;
      },
    };
  yield sheets(store);
}

/** Adds a part to the archive, and to its manifest once it is written. */
function add(zip: ZipFile, part: Part, files: ArchivedFile[]): void {
  const isPacked = part.name.startsWith('photographs/');
  zip.addReadStreamLazy(part.name, { compress: !isPacked }, (give) => {
    const hash = createHash('sha256');
    let bytes = 0;
    function* counted(): Iterable<Buffer> {
      for (const chunk of part.chunks()) {
        const buffer = Buffer.from(chunk as string);
        hash.update(buffer);
        bytes += buffer.length;
        yield buffer;
      }
      files.push({ name: part.name, ...(part.rows ? { rows: part.rows() } : {}), bytes, sha256: hash.digest('hex') });
    }
    give(null, Readable.from(counted(), { objectMode: false }));
  });
}

/**
 * Writes the whole shop into one archive of open formats, while the store is in use: every table as CSV, photographs
 * and bench sheets as files, and a manifest with checksums.
 * @param file one that is not there yet
 */
export async function writeArchive(url: string, file: string, now: Date): Promise<void> {
  const home = fileOf(url);
  if (!existsSync(home)) throw new StoreRefused(`There is no store at ${home}.`);
  if (existsSync(file)) throw new StoreRefused(`${file} is there already: give the archive another name.`);
  const half = `${file}.part`;
  const store = new Database(home, { timeout: 10_000 });
  try {
    // One look at all tables: what is written meanwhile is in none of them.
    store.exec('BEGIN');
    const zip = new ZipFile();
    const files: ArchivedFile[] = [];
    for (const part of parts(store)) add(zip, part, files);
    zip.addReadStreamLazy(MANIFEST, (give) => {
      const schema = journal().entries.at(-1)?.tag ?? '';
      const recordCode = codeOf(headIn(store));
      const manifest: Manifest = {
        format: ARCHIVE_FORMAT,
        version: ARCHIVE_VERSION,
        schema,
        made: now.toISOString(),
        recordCode,
        files,
      };
      give(null, Readable.from([JSON.stringify(manifest, null, 2)]));
    });
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(half, { mode: OWNER_ALONE }));
    renameSync(half, file);
  } finally {
    store.close();
    rmSync(half, { force: true });
  }
}
