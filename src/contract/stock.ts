import { z } from 'zod';
import { STOCK_COLUMNS, stockPartSchema, type StockPart } from '../core/stock';

/** Parts sent at once while a list is taken in. */
export const IMPORT_BATCH = 200;

/** One batch of a stock list that is being taken in. Batches of one import share its id. */
export const importBatchSchema = z.strictObject({
  by: z.string().min(1).max(80),
  name: z.string().trim().min(1).max(160),
  parts: z.array(stockPartSchema).min(1).max(IMPORT_BATCH),
  /**
   * Columns that the list has: of a part that is there already, what the list does not have stays as it is. All, where
   * it is not said.
   */
  columns: z.array(z.enum(STOCK_COLUMNS)).optional(),
  /**
   * For each part the version that the list was laid beside, null where there was none: what has moved since is not
   * overwritten. Where it is not said, nothing is compared.
   */
  was: z.array(z.int().min(1).nullable()).max(IMPORT_BATCH).optional(),
});
export type ImportBatch = z.infer<typeof importBatchSchema>;

/** What taking a batch in did. */
export interface BatchTaken {
  readonly taken: number;
  /** Parts that moved since the list was laid beside them: they stand as they are. */
  readonly moved: readonly { readonly sku: string; readonly quantity: number | null }[];
}

const by = z.string().min(1).max(80);
const pieces = z.int().min(0).max(1_000_000);

/** A change made by hand on a part's card. It names the version of the part that it was based on. */
export const changePartSchema = z.strictObject({
  by,
  version: z.int().min(1),
  quantity: pieces,
  minimum: pieces,
  priceCents: z.int().min(0).max(100_000_000),
});
export type ChangePart = z.infer<typeof changePartSchema>;

/**
 * Pieces taken from the shelf or booked in. Its id is made where it was written, so that sending it twice moves once.
 */
export const movePartSchema = z.strictObject({
  id: z.string().min(1).max(60),
  by,
  kind: z.enum(['taken', 'booked']),
  pieces: z.int().min(1).max(100_000),
  note: z.string().trim().max(160).default(''),
});
export type MovePart = z.infer<typeof movePartSchema>;

/** A part as it stands on the shelf. */
export type ShelvedPartView = StockPart & { readonly version: number };

/** One movement of a part. */
export interface StockMovementView {
  readonly id: string;
  readonly kind:
    'taken' | 'booked' | 'counted' | 'changed' | 'list' | 'list-undone' | 'for-job' | 'from-job' | 'arrived';
  readonly change: number;
  readonly left: number;
  readonly note: string;
  readonly at: string;
  readonly by: string;
}

/** A part's card: how it stands, and what moved lately. */
export interface PartCardView {
  readonly part: ShelvedPartView;
  readonly movements: readonly StockMovementView[];
}

/** Which parts of the shelf a list is laid beside. */
export const shelvedSchema = z.strictObject({ skus: z.array(z.string().min(1).max(60)).min(1).max(IMPORT_BATCH) });
