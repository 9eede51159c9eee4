import { z } from 'zod';

/** Kinds of records that never change, by their tables. */
export const RECORD_KINDS = [
  'reading',
  'sign_off',
  'limit_change',
  'shop_change',
  'hand_study',
  'stock_movement',
  'part_order',
  'part_order_event',
  'hand_over',
  'gear_change',
  'people_event',
] as const;

const place = { seq: z.int(), record: z.string(), key: z.string() };

/** What does not fit in a chain of records. */
export const misfitSchema = z.discriminatedUnion('what', [
  /** Something else stands in the record than when it was linked, or the link itself was changed. */
  z.strictObject({ what: z.literal('changed'), ...place }),
  /** The record is not there any more. */
  z.strictObject({ what: z.literal('gone'), ...place }),
  /** Links are missing from this place on, before the next or at the end. */
  z.strictObject({ what: z.literal('links-gone'), seq: z.int() }),
  /** A record stands there that was never linked: something else than Serrata wrote it. */
  z.strictObject({ what: z.literal('foreign'), record: z.string(), key: z.string() }),
  /** A hand-over carries the code of another chain than this one. */
  z.strictObject({ what: z.literal('other-chain'), record: z.string(), key: z.string(), code: z.string() }),
  /** A backup of this store holds links that it has not. */
  z.strictObject({ what: z.literal('backup'), name: z.string(), at: z.string(), seq: z.int() }),
  /** There is no chain at all. */
  z.strictObject({ what: z.literal('no-chain') }),
]);
export type Misfit = z.infer<typeof misfitSchema>;

/** What was found when the records were gone through. */
export const checkedRecordsSchema = z.strictObject({
  /** ISO 8601, UTC. */
  at: z.string(),
  /** Links there were. */
  count: z.int(),
  misfits: z.array(misfitSchema),
});
export type CheckedRecords = z.infer<typeof checkedRecordsSchema>;
