import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient, type Transaction } from '@libsql/client';
import Database from 'libsql';
import { migrateStore } from '../migrate';
import { settings } from '../settings';
import { openStore, storeFile } from '../store';
import { ARCHIVED, type ArchivedTable } from './archive/tables';

/** Rows that come in one answer; of pictures fewer, which are large. */
const ROWS_AT_ONCE = 1000;
const PICTURES_AT_ONCE = 8;

const quoted = (name: string): string => `"${name}"`;

/** Copies the rows of a table in the order in which they were written, each at its own place. */
async function copyTable(far: Transaction, near: Database.Database, { name, columns, bytes }: ArchivedTable) {
  const names = columns.map(quoted).join(', ');
  const most = bytes === null ? ROWS_AT_ONCE : PICTURES_AT_ONCE;
  const values = ['rowid', ...columns].map(() => '?').join(', ');
  // What an empty store begins with gives way to what stands there.
  near.exec(`DELETE FROM ${quoted(name)}`);
  const insert = near.prepare(`INSERT INTO ${quoted(name)} (rowid, ${names}) VALUES (${values})`);
  for (let last = 0; ;) {
    const { rows } = await far.execute({
      sql: `SELECT rowid AS "$row", ${names} FROM ${quoted(name)} WHERE rowid > ? ORDER BY rowid LIMIT ${most}`,
      args: [last],
    });
    for (const row of rows)
      insert.run(
        ...['$row', ...columns].map((column) => {
          const value = row[column] ?? null;
          return value instanceof ArrayBuffer ? Buffer.from(value) : value;
        }),
      );
    if (rows.length < most) return;
    last = Number(rows.at(-1)!.$row);
  }
}

/**
 * Copies a store on another machine into a file here, over the wire, as it stands at one moment. What lets somebody in
 * is not among it.
 * @param file one that is not there yet
 */
export async function copyOverTheWire(url: string, authToken: string | undefined, file: string): Promise<void> {
  const empty = openStore(`file:${file}`);
  await migrateStore(empty);
  await empty.fold();
  empty.close();
  const client = createClient({ url, ...(authToken ? { authToken } : {}) });
  const near = new Database(file, { timeout: 10_000 });
  try {
    const far = await client.transaction('read');
    try {
      near.exec('BEGIN IMMEDIATE');
      for (const table of ARCHIVED) await copyTable(far, near, table);
      near.exec('COMMIT');
      near.prepare('PRAGMA wal_checkpoint(TRUNCATE)').all();
    } finally {
      far.close();
    }
  } finally {
    near.close();
    client.close();
  }
}

/**
 * Does something with a store's file: of a store on another machine with a copy of it, which is gone afterwards.
 * @param work what reads the file; it writes nothing to it
 */
export async function withFileOf<T>(url: string, work: (file: string) => T | Promise<T>): Promise<T> {
  const file = storeFile(url);
  if (file !== null) return work(file);
  const folder = mkdtempSync(join(tmpdir(), 'serrata-copy-'));
  try {
    const copy = join(folder, 'store.db');
    await copyOverTheWire(url, settings().SERRATA_DB_TOKEN, copy);
    return await work(copy);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
