import { never } from '../../core/result';
import type { CellProblem, StockColumn, StockKind } from '../../core/stock';
import { list } from './sentence';

/** Kinds of part, as on a shelf label. */
export const stockKindWord: Record<StockKind, string> = {
  chain: 'chain',
  bar: 'bar',
  'drive-sprocket': 'drive sprocket',
  nose: 'nose',
  file: 'file',
};

/** Columns of a stock list in words. */
export const stockColumnName: Record<StockColumn, string> = {
  sku: 'Part number',
  kind: 'Kind',
  name: 'Name',
  pitch: 'Pitch',
  gauge: 'Gauge',
  driveLinks: 'Drive links',
  kickbackClass: 'Kickback class',
  mount: 'Mount',
  oilHole: 'Oil hole',
  listedInches: 'Listed length, in',
  teeth: 'Teeth',
  quantity: 'On the shelf',
  minimum: 'Minimum',
  price: 'Price',
};

/** What is wrong with a cell, and what would be right. */
export function cellProblem(problem: CellProblem): string {
  const name = stockColumnName[problem.column];
  switch (problem.code) {
    case 'missing':
      return `${name} is missing.`;
    case 'too-long':
      return `${name}: “${problem.text.slice(0, 20)}…” is longer than ${problem.most} letters.`;
    case 'not-one-of':
      return `${name}: “${problem.text}” is not one of ${list(problem.options, 'or')}.`;
    case 'build-not-said':
      return `${name}: “${problem.text}” does not say which 3/8: write 38lp for low profile or 38 for standard.`;
    case 'not-a-whole-number':
      return `${name}: “${problem.text}” is not a whole number.`;
    case 'not-a-number':
      return `${name}: “${problem.text}” is not a number such as 17.90.`;
    case 'out-of-bounds':
      return `${name}: “${problem.text}” is not between ${problem.lo} and ${problem.hi}.`;
    default:
      return never(problem);
  }
}
