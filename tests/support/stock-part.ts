import { NOTHING_SAID, type StockPart } from '../../src/core/stock';

/** A part of the shelf: one low-kickback chain of .325, .050 and 72 links, but for what is given. */
export const stockPart = (over: Partial<StockPart> = {}): StockPart => ({
  ...NOTHING_SAID,
  sku: 'A',
  kind: 'chain',
  name: 'A chain',
  pitch: '325',
  gauge: '.050',
  driveLinks: 72,
  kickbackClass: 'low-kickback',
  quantity: 1,
  minimum: 0,
  priceCents: 1000,
  ...over,
});
