import { flatMap } from '../flat-map';
import { strayCell, type ListRow, type ListRows } from './list-rows';
import type { StockPart } from './stock-part';
import {
  matchColumns,
  readStockRow,
  REQUIRED_COLUMNS,
  STOCK_COLUMNS,
  type CellProblem,
  type StockColumn,
  type StockRow,
} from './stock-row';

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
export const proposedColumns = (headings: readonly string[]): Columns => matchColumns(headings);

/** Columns that must have a heading and have none. */
export function missingColumns(columns: Columns): readonly StockColumn[] {
  return REQUIRED_COLUMNS.filter((column) => columns[column] === null);
}

/** Columns that the list has. */
export const columnsIn = (columns: Columns): readonly StockColumn[] =>
  STOCK_COLUMNS.filter((column) => columns[column] !== null);

function rowIn({ cells }: ListRow, columns: Columns): StockRow {
  return Object.fromEntries(
    flatMap(STOCK_COLUMNS, (column) => {
      const at = columns[column];
      return at === null ? [] : [[column, cells[at] ?? '']];
    }),
  );
}

/** The column whose cell has a quotation mark out of place. */
function strayColumn({ cells }: ListRow, columns: Columns): StockColumn {
  const at = strayCell(cells);
  return STOCK_COLUMNS.find((column) => columns[column] === at) ?? 'name';
}

/** Reads one row with the chosen columns and what was mended in it. */
function readOne(listed: ListRow, columns: Columns, mended: StockRow | undefined): ReadRow {
  const { line, hasStrayQuote } = listed;
  const row = { ...rowIn(listed, columns), ...mended };
  const stray = strayColumn(listed, columns);
  // Once its cell is written anew, the row is as good as any other.
  if (hasStrayQuote && mended?.[stray] === undefined)
    return { line, row, part: null, problems: [{ code: 'stray-quote', column: stray, text: row[stray] ?? '' }] };
  const read = readStockRow(row);
  return read.ok ? { line, row, part: read.value, problems: null } : { line, row, part: null, problems: read.error };
}

/** Reads all rows with the chosen columns and the cells mended so far. A part number counts where it stands first. */
export function readRows({ rows }: ListRows, columns: Columns, mended: Mended): readonly ReadRow[] {
  const seen = new Map<string, number>();
  return rows.map((listed): ReadRow => {
    const read = readOne(listed, columns, mended[listed.line]);
    if (!read.part) return read;
    const { sku } = read.part;
    const before = seen.get(sku);
    if (before === undefined) {
      seen.set(sku, read.line);
      return read;
    }
    return { ...read, part: null, problems: [{ code: 'twice', column: 'sku', text: sku, line: before }] };
  });
}
