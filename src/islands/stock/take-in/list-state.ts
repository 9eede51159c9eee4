import {
  matchColumns,
  readStockRow,
  REQUIRED_COLUMNS,
  STOCK_COLUMNS,
  type CellProblem,
  type StockColumn,
  type StockPart,
  type StockRow,
} from '../../../core/stock';

/** A list as read from a file: its headings and its rows of text, nothing judged yet. */
export interface RawList {
  readonly name: string;
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Which heading goes to which column; null where none does. */
export type Columns = Readonly<Record<StockColumn, number | null>>;

/** One row of the list with its line in the file, as a part or with all that is wrong with it. */
export type ReadRow = { readonly line: number; readonly row: StockRow } & (
  | { readonly part: StockPart; readonly problems: null }
  | { readonly part: null; readonly problems: readonly RowProblem[] }
);

/** What is wrong with a row: a cell, or a part number that stands in the list before. */
export type RowProblem =
  CellProblem | { readonly code: 'twice'; readonly column: 'sku'; readonly text: string; readonly line: number };

/** Changes made to cells on the screen, by line. */
export type Mended = Readonly<Record<number, StockRow>>;

/** Headings matched by name, as a first proposal. */
export const proposed = ({ headings }: RawList): Columns => matchColumns(headings);

/** Columns that must have a heading and have none. */
export function missingColumns(columns: Columns): readonly StockColumn[] {
  return REQUIRED_COLUMNS.filter((column) => columns[column] === null);
}

/** Line of the first row below the headings. */
const FIRST_LINE = 2;

/** Reads all rows with the chosen columns and the cells mended so far. */
export function readRows({ rows }: RawList, columns: Columns, mended: Mended): readonly ReadRow[] {
  const seen = new Map<string, number>();
  return rows.map((cells, i): ReadRow => {
    const line = i + FIRST_LINE;
    const given: StockRow = Object.fromEntries(
      STOCK_COLUMNS.flatMap((column) => {
        const at = columns[column];
        return at === null ? [] : [[column, cells[at] ?? '']];
      }),
    );
    const row = { ...given, ...mended[line] };
    const read = readStockRow(row);
    if (!read.ok) return { line, row, part: null, problems: read.error };
    const before = seen.get(read.value.sku);
    if (before !== undefined)
      return {
        line,
        row,
        part: null,
        problems: [{ code: 'twice', column: 'sku', text: read.value.sku, line: before }],
      };
    seen.set(read.value.sku, line);
    return { line, row, part: read.value, problems: null };
  });
}
