import { z } from 'zod';
import { GAUGE_IDS, PITCH_MARKS } from '../families';

/**
 * A code punched into drive links, and what it turned out to stand for. The shop's own table: makers use systems of
 * their own.
 */
export const learnedCodeSchema = z.strictObject({
  code: z.string().trim().min(1).max(20),
  pitch: z.enum(PITCH_MARKS).nullable(),
  gauge: z.enum(GAUGE_IDS).nullable(),
  /** Links of the loop, where the code names a whole loop: no count. */
  driveLinks: z.int().min(20).max(400).nullable().default(null),
  kickbackClass: z.enum(['low-kickback', 'standard']).nullable().default(null),
  /** What is sold in its place now; empty where it is still sold. */
  replacedBy: z.string().trim().max(80).default(''),
  note: z.string().trim().max(200),
});
export type LearnedCode = z.infer<typeof learnedCodeSchema>;
