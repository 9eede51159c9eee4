/** What can be the matter with a store that is there and is ours. */
export const TROUBLES = ['full', 'held', 'read-only', 'disk', 'damaged', 'away', 'refused'] as const;
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

/** What a client of a store on another machine says where nothing comes back of what it asked, or an answer is cut. */
const NOT_REACHED = /^(fetch failed|terminated|other side closed)$/;
/** What it says where the other machine lets nobody in who shows this token. */
const NOT_LET_IN = /HTTP status 40[13]\b/;
/** What it says of a transaction that the other machine knows no more: its connection was lost between two of its steps. */
const LOST_STREAM = ['HRANA_WEBSOCKET_ERROR', 'HRANA_CLOSED_ERROR', 'TRANSACTION_CLOSED', 'STREAM_EXPIRED'];

/** The trouble of a way to another machine that an error tells of. */
function ofTheWay(error: object): Trouble | null {
  const { code, message } = error as { code?: unknown; message?: unknown };
  const said = typeof message === 'string' ? message : '';
  if (NOT_LET_IN.test(said)) return 'refused';
  if (error instanceof TypeError && NOT_REACHED.test(said)) return 'away';
  return typeof code === 'string' && LOST_STREAM.includes(code) ? 'away' : null;
}

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
    const way = ofTheWay(at);
    if (way) return way;
    at = cause;
  }
  return null;
}
