import Papa from 'papaparse';
import { z } from 'zod';
import { FAMILY_IDS, GAUGE_IDS } from '../core/families';
import { STOCK_KINDS, type StockPart } from '../core/order';
import { err, ok, type Result } from '../core/result';

/** Columns of the stock list, in order. See docs/formats/stock-csv.md. */
export const STOCK_COLUMNS = [
  'sku',
  'kind',
  'name',
  'pitch',
  'gauge',
  'driveLinks',
  'kickbackClass',
  'mount',
  'teeth',
  'quantity',
  'minimum',
  'price',
] as const;

const blankToNull = <T extends z.ZodType>(schema: T) =>
  z.preprocess((value) => (value === '' || value === undefined ? null : value), schema.nullable());
const blankTo = <T extends z.ZodType>(fallback: string, schema: T) =>
  z.preprocess((value) => (value === '' || value === undefined ? fallback : value), schema);

const rowSchema = z.object({
  sku: z.string().trim().min(1).max(60),
  kind: z.enum(STOCK_KINDS),
  name: z.string().trim().min(1).max(160),
  pitch: blankToNull(z.enum(FAMILY_IDS)),
  gauge: blankToNull(z.enum(GAUGE_IDS)),
  driveLinks: blankToNull(z.coerce.number().int().min(1).max(400)),
  kickbackClass: blankToNull(z.enum(['low-kickback', 'standard'])),
  mount: blankToNull(z.string().max(40)),
  teeth: blankToNull(z.coerce.number().int().min(4).max(20)),
  quantity: blankTo('0', z.coerce.number().int().min(0)),
  minimum: blankTo('0', z.coerce.number().int().min(0)),
  price: blankTo('0', z.coerce.number().min(0)),
});

/** One row that could not be read: which line, which column, what is wrong. */
export interface StockRowProblem {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

/** Reads a stock list. All rows must be right; every problem is returned with its line. */
export function readStockCsv(text: string): Result<readonly StockPart[], readonly StockRowProblem[]> {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim(),
  });
  const missing = ['sku', 'kind', 'name'].filter((column) => !(parsed.meta.fields ?? []).includes(column));
  if (missing.length > 0)
    return err(
      missing.map((column) => ({
        line: 1,
        column,
        message: `the column is missing; the columns are ${STOCK_COLUMNS.join(', ')}`,
      })),
    );
  const problems: StockRowProblem[] = [];
  const parts: StockPart[] = [];
  for (const [i, row] of parsed.data.entries()) {
    const read = rowSchema.safeParse(row);
    if (!read.success) {
      problems.push(
        ...read.error.issues.map((issue) => ({
          line: i + 2,
          column: issue.path.join('.'),
          message: `“${row[String(issue.path[0])] ?? ''}”: ${issue.message}`,
        })),
      );
      continue;
    }
    const { price, ...rest } = read.data;
    parts.push({ ...rest, priceCents: Math.round(price * 100) });
  }
  return problems.length > 0 ? err(problems) : ok(parts);
}
