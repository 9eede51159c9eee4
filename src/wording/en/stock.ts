import type { StockColumn, StockKind } from '../../core/stock';

/** Kinds of part, as on a shelf label. */
export const stockKindWord: Record<StockKind, string> = {
  chain: 'chain',
  bar: 'bar',
  'drive-sprocket': 'drive sprocket',
  nose: 'nose',
  drum: 'clutch drum',
  bearing: 'bearing',
  clip: 'clip',
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
  sequence: 'Sequence',
  mount: 'Mount',
  oilHole: 'Oil hole',
  listedInches: 'Listed length, in',
  teeth: 'Teeth',
  sprocket_kind: 'Spur or rim',
  splines: 'Splines',
  bore: 'Bore, mm',
  saw: 'For saws',
  quantity: 'On the shelf',
  minimum: 'Minimum',
  price: 'Price',
};
