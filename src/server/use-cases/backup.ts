import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { backupStore, BackupRefused, restoreStore } from '../../data/backup';
import { storeUrl } from '../../data/store';
import { Refusal } from '../refusal';

export { BackupRefused };

/** Saves the store into a file, in use or not. */
export const backup = (file: string): Promise<void> => backupStore(storeUrl(), file);

/** Puts a backup in the store's place; what stood there is kept under the hour it was. */
export const restore = (file: string, now: Date): Promise<string | null> =>
  restoreStore(storeUrl(), file, now.toISOString().replace(/[:.]/g, '-'));

/** The argument by which the server's own file saves the store and ends. */
export const BACKUP_ARGUMENT = '--backup';

/** True while a backup is being made: one at a time, so that asking often costs the shop nothing. */
let isMaking = false;

/**
 * A backup to be sent to somebody: made by a process of its own, so that nobody waits for it.
 * @returns the file, and what takes it away again
 */
export async function backupToSend(): Promise<{ readonly file: string; readonly done: () => void }> {
  if (isMaking) throw new Refusal(409, 'making', 'A backup is being made already: wait until it is there.');
  isMaking = true;
  const folder = mkdtempSync(join(tmpdir(), 'serrata-backup-'));
  const done = () => rmSync(folder, { recursive: true, force: true });
  const file = join(folder, 'backup.db');
  try {
    await promisify(execFile)(process.execPath, [process.argv[1]!, BACKUP_ARGUMENT, file]);
    return { file, done };
  } catch (error) {
    done();
    const said = typeof error === 'object' && error && 'stderr' in error ? String(error.stderr).trim() : '';
    throw new Refusal(503, 'not-saved', `The backup could not be made. ${said}`.trim());
  } finally {
    isMaking = false;
  }
}
