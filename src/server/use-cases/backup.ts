import { createWriteStream, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { isArchive, storeFromArchive } from '../../data/keeping/archive/read';
import { writeArchive } from '../../data/keeping/archive/write';
import { codeOf } from '../../data/chain/link';
import { mustHaveRecords, verifyRecords } from '../../data/keeping/records';
import { backupStore, fileOf, removeStore, restoreStore, StoreRefused } from '../../data/keeping/backup';
import { backupFile, isDailyDue, listBackups, stampOf, tidyBackups, type BackupKind } from '../../data/keeping/backups';
import { withFileOf } from '../../data/keeping/over-the-wire';
import { OWNER_ALONE } from '../../data/owner-alone';
import { storeFile, storeUrl } from '../../data/store';
import type { BackupView } from '../../contract';
import type { Context } from '../context';
import { ErrandFailed, sent } from '../errands/send';
import { alone } from './alone';
import { MAX_BROUGHT_BYTES } from '../http/guard';
import { complained } from '../log';
import { notFound, Refusal } from '../refusal';
import * as texts from '#language/server';

export { StoreRefused };

/** Saves the store into a file, in use or not. */
export const backup = (file: string): Promise<void> => backupStore(storeUrl(), file);

/** Writes the whole shop into an archive of open formats: of a store on another machine over the wire. */
export const archive = (file: string, now: Date): Promise<void> =>
  withFileOf(storeUrl(), (home) => writeArchive(`file:${home}`, file, now));

/** Puts a backup, or what an archive holds, in the store's place; what stood there is kept under the hour it was. */
export async function restore(file: string, now: Date): Promise<string | null> {
  const url = storeUrl();
  if (!existsSync(file) || !isArchive(file)) return restoreStore(url, file, stampOf(now));
  const unpacked = unpackedBeside(fileOf(url));
  rmSync(unpacked, { force: true });
  await storeFromArchive(file, unpacked);
  try {
    return await restoreStore(url, unpacked, stampOf(now));
  } finally {
    rmSync(unpacked, { force: true });
  }
}

/** How the records of a store, or of a backup, stand. @throws StoreRefused where it is no whole store */
export async function verify(file?: string) {
  // A backup is held against no other.
  const { head, began, misfits } = file
    ? verifyRecords(mustHaveRecords(file), [])
    : await withFileOf(storeUrl(), (home) => verifyRecords(mustHaveRecords(home)));
  return { code: codeOf(head), count: head.seq, began, misfits };
}

/** The backups that are kept, newest first. */
export function backupsKept({ store }: Context): readonly BackupView[] | null {
  const file = storeFile(store.url);
  if (file === null) return null;
  return listBackups(file).map(({ name, kind, at, bytes }) => ({
    name,
    kind,
    at: at.toISOString(),
    bytes,
  }));
}

/**
 * Goes through all records before they are saved. The backup is made whatever comes of it: a store that cannot be
 * written to is saved, too.
 */
const lookAtRecords = (): Promise<unknown> => sent('verify').catch(complained);

/** Makes a backup and keeps it. */
export function makeBackup({ store, now }: Context, kind: BackupKind): Promise<{ file: string }> {
  return alone(async () => {
    const home = fileOf(store.url);
    const file = backupFile(home, kind, now());
    await lookAtRecords();
    await sent('backup', file);
    tidyBackups(home);
    return { file };
  });
}

/** Makes the daily backup where it is due. */
export async function makeDailyBackup(store: string, now: Date): Promise<void> {
  if (!isDailyDue(listBackups(store), now)) return;
  await lookAtRecords();
  await sent('backup', backupFile(store, 'daily', now));
  tidyBackups(store);
  await sent('tidy');
}

/** The file of a backup that is kept, by its name. */
export function keptBackup({ store }: Context, name: string): string {
  const file = storeFile(store.url);
  const found = file === null ? undefined : listBackups(file).find((each) => each.name === name);
  if (!found) throw notFound('backup');
  return found.file;
}

/**
 * Puts a backup in the store's place while the shop is open: nothing is written meanwhile, and what stood there is
 * kept.
 */
export function putBackupBack(context: Context, name: string): Promise<{ kept: string }> {
  const { store, now } = context;
  const backup = keptBackup(context, name);
  return alone(async () => {
    const home = fileOf(store.url);
    const before = backupFile(home, 'before', now());
    await sent('putBack', backup, before);
    tidyBackups(home);
    return { kept: basename(before) };
  });
}

/** Where an archive is unpacked. */
const unpackedBeside = (file: string): string => `${file}.unpacked`;

/** What was brought, as a store that is whole: an archive is unpacked. @throws Refusal with what is wrong with it */
async function tried(file: string): Promise<string> {
  try {
    return isArchive(file) ? await sent('unpack', file, unpackedBeside(file)) : await sent('try', file);
  } catch (error) {
    if (!(error instanceof ErrandFailed)) throw error;
    throw new Refusal(422, 'no-backup', error.message.replaceAll(file, texts.thisFile));
  }
}

/** The whole shop as an archive of open formats. @returns its file, and what takes it away once it was sent */
export function makeArchive({ store }: Context): Promise<{ readonly file: string; readonly done: () => void }> {
  return alone(async () => {
    // Beside the store, where there is room for it; of one on another machine among what goes again.
    const home = storeFile(store.url);
    const folder = mkdtempSync(home === null ? join(tmpdir(), 'serrata-archive-') : join(dirname(home), '.archive-'));
    const done = () => rmSync(folder, { recursive: true, force: true });
    try {
      return { file: await sent('archive', join(folder, 'archive.zip')), done };
    } catch (error) {
      done();
      throw error;
    }
  });
}

/** Writes what is sent into a file, up to the largest that a backup is. */
const received = (sentBody: WebStream, file: string): Promise<void> =>
  pipeline(
    Readable.fromWeb(sentBody),
    async function* (chunks: AsyncIterable<Buffer>) {
      let bytes = 0;
      for await (const chunk of chunks) {
        bytes += chunk.length;
        if (bytes > MAX_BROUGHT_BYTES) throw new Refusal(413, 'too-large', texts.thisIsLargerThanAny);
        yield chunk;
      }
    },
    createWriteStream(file, { mode: OWNER_ALONE }),
  );

/** Backups that come in at once: each may fill gigabytes of the disk. */
const MOST_COMING = 2;
let coming = 0;

/**
 * Takes in a backup that was kept elsewhere; it is tried, and kept with the others. Nobody's own backup waits for one
 * that comes slowly: its turn begins once all of it is here.
 */
export async function bringBackup(
  { store, now, newId }: Context,
  sentBody: WebStream | null,
): Promise<{ name: string }> {
  if (!sentBody) throw new Refusal(422, 'nothing-sent', texts.sendABackupOfSerrata);
  if (coming >= MOST_COMING) throw new Refusal(409, 'making', texts.backupIsUnderWay);
  coming += 1;
  // Beside its place, so that it has only to be renamed, whatever disk that is on.
  const file = `${backupFile(fileOf(store.url), 'brought', now())}.${newId()}.part`;
  try {
    await received(sentBody, file);
    return await alone(async () => {
      const kept = backupFile(fileOf(store.url), 'brought', now());
      renameSync(await tried(file), kept);
      return { name: basename(kept) };
    });
  } finally {
    coming -= 1;
    rmSync(file, { force: true });
    removeStore(unpackedBeside(file));
  }
}

/** Looks the whole store through while the shop is open. @returns null when it is whole, else what is wrong */
export function tryStore(): Promise<{ wrong: string | null }> {
  return alone(async () => {
    const said = await sent('inspect');
    return { wrong: said === 'whole' ? null : said };
  });
}
