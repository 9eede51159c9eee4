/** What can be the matter with a store that is there and is ours. */
export const TROUBLES = ['full', 'held', 'read-only', 'disk', 'damaged'] as const;
export type Trouble = (typeof TROUBLES)[number];

/** Result codes of the engine (https://sqlite.org/rescode.html), by how they begin. */
const BY_CODE: readonly (readonly [string, Trouble])[] = [
  ['SQLITE_FULL', 'full'],
  ['SQLITE_BUSY', 'held'],
  ['SQLITE_LOCKED', 'held'],
  ['SQLITE_READONLY', 'read-only'],
  ['SQLITE_PERM', 'read-only'],
  ['SQLITE_IOERR', 'disk'],
  ['SQLITE_CANTOPEN', 'disk'],
  ['SQLITE_CORRUPT', 'damaged'],
  ['SQLITE_NOTADB', 'damaged'],
  ['ENOSPC', 'full'],
  ['EDQUOT', 'full'],
  ['EROFS', 'read-only'],
  ['EACCES', 'read-only'],
  ['EIO', 'disk'],
];

/** A trouble that another thread met. */
export class TroubleElsewhere extends Error {
  constructor(
    readonly trouble: Trouble,
    message: string,
  ) {
    super(message);
  }
}

/** How deep an error may lie in others. */
const DEEPEST = 5;

/** The trouble of the store that an error tells of; null where it tells of none. */
export function troubleOf(error: unknown): Trouble | null {
  if (error instanceof TroubleElsewhere) return error.trouble;
  let at = error;
  for (let depth = 0; depth < DEEPEST && typeof at === 'object' && at !== null; depth += 1) {
    const { code, extendedCode, cause } = at as { code?: unknown; extendedCode?: unknown; cause?: unknown };
    for (const name of [code, extendedCode]) {
      const found = typeof name === 'string' ? BY_CODE.find(([start]) => name.startsWith(start)) : undefined;
      if (found) return found[1];
    }
    at = cause;
  }
  return null;
}
