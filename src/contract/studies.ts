import { z } from 'zod';
import { INSTRUMENT_IDS } from '../core/quantity';
import type { Study } from '../core/hand';
import { MOST_TAKES } from '../core/hand/schema';

/** A study as it is sent: takes as typed, in the unit beside the fields. */
export const studyHandSchema = z.strictObject({
  id: z.uuid(),
  /** Whose hand. */
  by: z.string().trim().min(1, 'Say whose hand it is.').max(80),
  instrument: z.enum(INSTRUMENT_IDS),
  unit: z.enum(['mm', 'in']),
  takes: z.array(z.string().max(40)).min(1).max(MOST_TAKES),
  /** The size of the block, and how well it is known; null where a place of unknown size was measured. */
  known: z.string().max(40).nullable(),
  knownDoubt: z.string().max(40).nullable(),
  note: z.string().trim().max(200),
});
export type StudyHand = z.infer<typeof studyHandSchema>;

export const setStudyAsideSchema = z.strictObject({ by: z.string().min(1).max(80), id: z.uuid() });
export type SetStudyAside = z.infer<typeof setStudyAsideSchema>;

/** A study as the shop's page shows it. */
export interface StudyView extends Study {
  readonly id: string;
  readonly note: string;
  readonly at: string;
  readonly setAside: { readonly at: string; readonly by: string } | null;
}
