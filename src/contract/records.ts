import { z } from 'zod';
import type { CheckedRecords } from '../core/records';

/** How the shop's records stand. */
export interface RecordsView {
  readonly count: number;
  /** Short code of the last record, as papers carry it. */
  readonly code: string;
  /** When the chain began, ISO 8601; null where there is none. */
  readonly began: string | null;
  /** What was found when they were last gone through; null where nobody has looked yet. */
  readonly checked: CheckedRecords | null;
}

/** A code from a paper, as somebody typed it. */
export const findCodeSchema = z.strictObject({ code: z.string().min(1).max(60) });

/** The record that a code names; null where this store has none such. */
export interface FoundRecord {
  readonly found: {
    readonly seq: number;
    readonly record: string;
    readonly at: string;
    readonly by: string;
  } | null;
}
