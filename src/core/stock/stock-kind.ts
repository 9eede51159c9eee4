import type { Part } from '../reading';

/**
 * Kinds of part a shop keeps. Apart from the schema of a part, so that a page which only names them loads no schema.
 */
export const STOCK_KINDS = ['chain', 'bar', 'drive-sprocket', 'nose', 'file'] as const;
export type StockKind = (typeof STOCK_KINDS)[number];

/** What a kind of stock is on a saw; a file is no part of one. */
export const PART_OF_KIND: Readonly<Record<StockKind, Part | null>> = {
  chain: 'chain',
  bar: 'bar',
  'drive-sprocket': 'driveSprocket',
  nose: 'nose',
  file: null,
};
