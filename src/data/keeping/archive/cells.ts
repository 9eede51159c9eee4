/** What a store's cell may hold; a picture's bytes are a file of their own. */
export type Cell = string | number | bigint | null;

/** Stands for a cell that holds nothing, which is something else than an empty text. */
const NOTHING = '\\N';

/** Begins what a table programme would work out when it opens the file, and what is marked as a text. */
const TAKEN_FOR_MORE = /^[=+\-@\t\r']/;
const NUMBER = /^-?\d+(\.\d+)?(e[+-]?\d+)?$/i;

/**
 * A cell as it stands in a CSV. A text that begins with a backslash gets one more; one that a table programme would take
 * for a formula gets an apostrophe before it, by which such programmes know a text.
 */
export function writtenCell(cell: Cell): string {
  if (cell === null) return NOTHING;
  const text = String(cell);
  if (text.startsWith('\\')) return `\\${text}`;
  return TAKEN_FOR_MORE.test(text) && !NUMBER.test(text) ? `'${text}` : text;
}

/**
 * The reverse of {@link writtenCell}: numbers are left to the column they go to.
 * @param version of the archive: the first marked no text with an apostrophe
 */
export function readCell(text: string, version: 1 | 2): string | null {
  if (text === NOTHING) return null;
  const isMarked = text.startsWith('\\\\') || (version > 1 && text.startsWith("'"));
  return isMarked ? text.slice(1) : text;
}
