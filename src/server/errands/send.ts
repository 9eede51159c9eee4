import { execFile } from 'node:child_process';
import { promisify } from 'node:util';

/** Long work on a store's file, done by a process of its own so that nobody waits for it. */
export type Errand = 'backup' | 'putBack' | 'try' | 'inspect' | 'tidy' | 'archive' | 'unpack' | 'verify' | 'beginAnew';

/** The argument by which the server's own file runs an errand and ends. */
export const ERRAND_ARGUMENT = '--errand';

/** Why an errand failed, as its process said it. */
export class ErrandFailed extends Error {}

/** What was brought from elsewhere may have been made to take for ever, ms. */
const LONGEST_MS: Partial<Record<Errand, number>> = { unpack: 1_800_000, try: 1_800_000 };

let underWay = 0;

/** Whether a process of ours is on an errand: then it may be ours that holds the store. */
export const isOnErrand = (): boolean => underWay > 0;

/** Sends a process of its own on an errand. */
export async function sent(errand: Errand, ...args: string[]): Promise<string> {
  underWay += 1;
  try {
    const command = [process.argv[1]!, ERRAND_ARGUMENT, errand, ...args];
    const { stdout } = await promisify(execFile)(process.execPath, command, { timeout: LONGEST_MS[errand] ?? 0 });
    return stdout.trim();
  } catch (error) {
    const said = typeof error === 'object' && error && 'stderr' in error ? String(error.stderr).trim() : '';
    throw new ErrandFailed(said || 'The process that was to do it ended early.');
  } finally {
    underWay -= 1;
  }
}
