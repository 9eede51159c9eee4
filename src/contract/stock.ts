import { z } from 'zod';
import { STOCK_COLUMNS, stockPartSchema } from '../core/stock';

/** Parts sent at once while a list is taken in. */
export const IMPORT_BATCH = 200;

/** One batch of a stock list that is being taken in. Batches of one import share its id. */
export const importBatchSchema = z.strictObject({
  by: z.string().min(1).max(80),
  name: z.string().trim().min(1).max(160),
  parts: z.array(stockPartSchema).min(1).max(IMPORT_BATCH),
  /** Columns that the list has: of a part that is there already, what the list does not have stays as it is. All, where it is not said. */
  columns: z.array(z.enum(STOCK_COLUMNS)).optional(),
});
export type ImportBatch = z.infer<typeof importBatchSchema>;

/** A change made by hand on the shelf. */
export const changePartSchema = z.strictObject({
  quantity: z.int().min(0).max(1_000_000),
  minimum: z.int().min(0).max(1_000_000),
  priceCents: z.int().min(0).max(100_000_000),
});
export type ChangePart = z.infer<typeof changePartSchema>;
