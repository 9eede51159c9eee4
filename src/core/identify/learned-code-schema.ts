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
  note: z.string().trim().max(200),
});
export type LearnedCode = z.infer<typeof learnedCodeSchema>;
