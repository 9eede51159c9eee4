/** What a store's cell may hold; a picture's bytes are a file of their own. */
export type Cell = string | number | bigint | null;

/** Stands for a cell that holds nothing, which is something else than an empty text. */
const NOTHING = '\\N';

/** A cell as it stands in a CSV. A text that begins with a backslash gets one more. */
export function writtenCell(cell: Cell): string {
  if (cell === null) return NOTHING;
  const text = String(cell);
  return text.startsWith('\\') ? `\\${text}` : text;
}

/** The reverse of {@link writtenCell}: numbers are left to the column they go to. */
export function readCell(text: string): string | null {
  if (text === NOTHING) return null;
  return text.startsWith('\\\\') ? text.slice(1) : text;
}
