import { z } from 'zod';
import { LONGEST_CUSTOMER } from './names';

/** Saws that are taken in at once: one write for all, undone as one. */
export const MOST_LISTED_SAWS = 2000;

export const listedSawSchema = z.strictObject({
  customer: z.string().trim().min(1).max(LONGEST_CUSTOMER),
  label: z.string().trim().min(1).max(120),
  tag: z.string().trim().max(40),
  mount: z.string().trim().min(1).max(40).nullable(),
  maxRpm: z.int().min(1000).max(30_000).nullable(),
  marks: z.string().trim().max(80),
});

/** A list of saws to be taken in, or only laid beside those that are known. */
export const takeInSawsSchema = z.strictObject({
  /** Given by who asks, so that a list which is sent twice is taken in once. */
  id: z.uuid(),
  by: z.string().trim().min(1).max(80),
  /** The file's name. */
  name: z.string().trim().min(1).max(160),
  saws: z.array(listedSawSchema).min(1).max(MOST_LISTED_SAWS),
  /** Whether it is only told what it would do. */
  onlyTold: z.boolean(),
});
export type TakeInSaws = z.infer<typeof takeInSawsSchema>;

/** What a list did, or would do. */
export interface SawsTaken {
  readonly saws: number;
  readonly customers: number;
  /** Saws of the same customer, name and tag that are known already: they stay as they are. */
  readonly known: number;
}
