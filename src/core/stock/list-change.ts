import { laidOver, STOCK_COLUMNS, writeStockRow, type StockColumn, type StockRow } from './stock-row';
import type { StockPart } from './stock-part';

/**
 * What a list does to one field of a part that is on the shelf: it says something else, or it empties what is there.
 */
export interface FieldChange {
  readonly column: StockColumn;
  readonly before: string;
  readonly after: string;
  readonly isLost: boolean;
}

/**
 * Field by field, what taking in a row of a list would change of the part that stands on the shelf.
 * @param row the cells as they stand in the list: an empty one loses what is there, though a quantity then reads as 0
 * @param columns those that the list has
 */
export function fieldChanges(
  before: StockPart,
  listed: StockPart,
  row: StockRow,
  columns: readonly StockColumn[],
): readonly FieldChange[] {
  const [was, is] = [writeStockRow(before), writeStockRow(laidOver(before, listed, columns))];
  return STOCK_COLUMNS.filter((column) => was[column] !== is[column]).map((column) => ({
    column,
    before: was[column],
    after: is[column],
    isLost: (row[column] ?? '').trim() === '',
  }));
}
