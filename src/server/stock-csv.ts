import Papa from 'papaparse';
import {
  matchColumns,
  readStockRow,
  REQUIRED_COLUMNS,
  STOCK_COLUMNS,
  writeStockRow,
  type StockColumn,
  type StockPart,
  type StockRow,
} from '../core/stock';
import { err, ok, type Result } from '../core/result';
import { cellProblem } from '../wording';

/** One row that could not be read: which line, which column, what is wrong. */
export interface StockRowProblem {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

/** Reads a stock list. All rows must be right; every problem is returned with its line. */
export function readStockCsv(text: string): Result<readonly StockPart[], readonly StockRowProblem[]> {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [headings = [], ...rows] = data;
  const columns = matchColumns(headings);
  const missing = REQUIRED_COLUMNS.filter((column) => columns[column] === null);
  if (missing.length > 0)
    return err(
      missing.map((column) => ({
        line: 1,
        column,
        message: `the column is missing; the columns are ${STOCK_COLUMNS.join(', ')}`,
      })),
    );
  const read = rows.map((cells) => readStockRow(rowOf(cells, columns)));
  const problems = read.flatMap((row, i) =>
    row.ok ? [] : row.error.map((problem) => ({ line: i + 2, column: problem.column, message: cellProblem(problem) })),
  );
  return problems.length > 0 ? err(problems) : ok(read.flatMap((row) => (row.ok ? [row.value] : [])));
}

function rowOf(cells: readonly string[], columns: Readonly<Record<StockColumn, number | null>>): StockRow {
  return Object.fromEntries(
    STOCK_COLUMNS.map((column) => [column, columns[column] === null ? '' : (cells[columns[column]] ?? '')]),
  );
}

/** Writes parts as a stock list that {@link readStockCsv} reads back. Cells that a table program would compute are kept as text. */
export function writeStockCsv(parts: readonly StockPart[]): string {
  return `${Papa.unparse(
    { fields: [...STOCK_COLUMNS], data: parts.map((part) => writeStockRow(part)) },
    { newline: '\n', escapeFormulae: true },
  )}\n`;
}
