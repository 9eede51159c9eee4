import { chmodSync, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';

/** Read and written by its owner, and by nobody else on the machine. */
export const OWNER_ALONE = 0o600;
const FOLDER_OF_OWNER = 0o700;

/** Keeps what a shop wrote down from others on the machine. A disk that knows no owners keeps it as it can. */
export function forOwnerAlone(file: string): void {
  try {
    chmodSync(file, OWNER_ALONE);
  } catch {
    // Told nobody: what cannot be guarded here is used as it is.
  }
}

/** Makes the folder of a file, where it is not there yet, for its owner alone. */
export function makeFolderOf(file: string): void {
  mkdirSync(dirname(file), { recursive: true, mode: FOLDER_OF_OWNER });
}
