import type { Part } from '../reading';

/**
 * Kinds of part a shop keeps. Apart from the schema of a part, so that a page which only names them loads no schema.
 */
export const STOCK_KINDS = ['chain', 'bar', 'drive-sprocket', 'nose', 'drum', 'bearing', 'clip', 'file'] as const;
export type StockKind = (typeof STOCK_KINDS)[number];

/** Parts of the drive that are renewed by themselves when the sprocket is looked at. */
export const SMALL_PARTS = ['drum', 'bearing', 'clip'] as const satisfies readonly StockKind[];
export type SmallPart = (typeof SMALL_PARTS)[number];

/** A part that a plan may take: one of the judged ones, or a small one of the drive. */
export type PlannedPart = Part | SmallPart;

/** Which part of a saw a kind of stock is; a file is none. */
export const PART_OF_KIND: Readonly<Record<StockKind, PlannedPart | null>> = {
  chain: 'chain',
  bar: 'bar',
  'drive-sprocket': 'driveSprocket',
  nose: 'nose',
  drum: 'drum',
  bearing: 'bearing',
  clip: 'clip',
  file: null,
};
