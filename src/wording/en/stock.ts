import type { StockColumn, StockKind } from '../../core/stock';

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
