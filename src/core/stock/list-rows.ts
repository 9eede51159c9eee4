import { err, ok, type Result } from '../result';
import { MOST_LIST_ROWS, type ListProblem } from './list-text';

/** What a reader of CSV makes of a text, as far as it matters here. */
export interface ParsedCsv {
  readonly data: readonly (readonly string[])[];
  readonly errors: readonly { readonly code: string; readonly row?: number | undefined }[];
}

/** How a reader of CSV is to be asked, so that lines can be counted: nothing left out. */
export const CSV_AS_IT_STANDS = { header: false, skipEmptyLines: false } as const;

/** One row as it stands in the file. */
export interface ListRow {
  /** Where it begins, the first line being 1. */
  readonly line: number;
  readonly cells: readonly string[];
  /** A quotation mark stands in it where none may, so that cells or rows may have run together. */
  readonly hasStrayQuote: boolean;
}

/** A list as read from a file, nothing judged yet. */
export interface ListRows {
  readonly headings: readonly string[];
  readonly rows: readonly ListRow[];
}

const lineBreaks = (cells: readonly string[]): number =>
  cells.reduce((sum, cell) => sum + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);

/**
 * Rows with the lines they begin in. Blank lines are left out; a quotation mark that is never closed has swallowed what
 * is below it, and is refused.
 */
export function listRows({ data, errors }: ParsedCsv): Result<ListRows, ListProblem> {
  const stray = new Set<number>();
  let unclosed: number | null = null;
  for (const { code, row = 0 } of errors) {
    if (code === 'MissingQuotes') unclosed = row;
    if (code === 'InvalidQuotes') stray.add(row);
  }
  const rows: ListRow[] = [];
  let line = 1;
  for (const [i, cells] of data.entries()) {
    if (i === unclosed) return err({ code: 'quote-not-closed', line });
    if (cells.some((cell) => cell.trim() !== '')) rows.push({ line, cells, hasStrayQuote: stray.has(i) });
    line += 1 + lineBreaks(cells);
  }
  const [headings, ...below] = rows;
  if (!headings || below.length === 0) return err({ code: 'empty' });
  if (below.length > MOST_LIST_ROWS) return err({ code: 'too-many-rows', most: MOST_LIST_ROWS });
  return ok({ headings: headings.cells, rows: below });
}

/** The cell of a row in which a quotation mark is out of place: the first that has one, or the first of all. */
export const strayCell = (cells: readonly string[]): number =>
  Math.max(
    0,
    cells.findIndex((cell) => cell.includes('"')),
  );
