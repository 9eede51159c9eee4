import Papa from 'papaparse';
import {
  CSV_AS_IT_STANDS,
  listRows,
  listText,
  matchColumns,
  readStockRow,
  REQUIRED_COLUMNS,
  STOCK_COLUMNS,
  strayCell,
  writeStockRow,
  type ListRow,
  type StockColumn,
  type StockPart,
  type StockRow,
} from '../core/stock';
import { err, ok, type Result } from '../core/result';
import { cellProblem, listProblem } from '../wording';

/** One row that could not be read: which line, which column, what is wrong. */
export interface StockRowProblem {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

type Columns = Readonly<Record<StockColumn, number | null>>;

/** Reads a stock list from its bytes or its text. All rows must be right; every problem is returned with its line. */
export function readStockCsv(list: Uint8Array | string): Result<readonly StockPart[], readonly StockRowProblem[]> {
  const read = listText(typeof list === 'string' ? new TextEncoder().encode(list) : list);
  const rows = read.ok ? listRows(Papa.parse<string[]>(read.value.text, CSV_AS_IT_STANDS)) : read;
  if (!rows.ok) {
    const { error } = rows;
    return err([
      { line: error.code === 'quote-not-closed' ? error.line : 1, column: 'list', message: listProblem(error) },
    ]);
  }
  const columns = matchColumns(rows.value.headings);
  const missing = REQUIRED_COLUMNS.filter((column) => columns[column] === null);
  if (missing.length > 0)
    return err(
      missing.map((column) => ({
        line: 1,
        column,
        message: `the column is missing; the columns are ${STOCK_COLUMNS.join(', ')}`,
      })),
    );
  const parts: StockPart[] = [];
  const problems: StockRowProblem[] = [];
  for (const row of rows.value.rows) {
    const part = partIn(row, columns);
    if (part.ok) parts.push(part.value);
    else problems.push(...part.error);
  }
  return problems.length > 0 ? err(problems) : ok(parts);
}

function partIn(
  { line, cells, hasStrayQuote }: ListRow,
  columns: Columns,
): Result<StockPart, readonly StockRowProblem[]> {
  if (hasStrayQuote) {
    const at = strayCell(cells);
    const column = STOCK_COLUMNS.find((each) => columns[each] === at) ?? 'name';
    const message = cellProblem({ code: 'stray-quote', column, text: cells[at] ?? '' });
    return err([{ line, column, message }]);
  }
  const read = readStockRow(rowOf(cells, columns));
  return read.ok
    ? read
    : err(read.error.map((problem) => ({ line, column: problem.column, message: cellProblem(problem) })));
}

function rowOf(cells: readonly string[], columns: Columns): StockRow {
  return Object.fromEntries(
    STOCK_COLUMNS.map((column) => [column, columns[column] === null ? '' : (cells[columns[column]] ?? '')]),
  );
}

/**
 * Writes parts as a stock list that {@link readStockCsv} reads back. Cells that a table program would compute are kept
 * as text.
 */
export function writeStockCsv(parts: readonly StockPart[]): string {
  return `${Papa.unparse(
    { fields: [...STOCK_COLUMNS], data: parts.map((part) => writeStockRow(part)) },
    { newline: '\n', escapeFormulae: true },
  )}\n`;
}
