import { z } from 'zod';
import { FAMILY_IDS, GAUGE_IDS } from '../core/families';
import {
  FAULT_IDS,
  LEVELS,
  PAPERS,
  PRACTICE_PARTS,
  THEME_IDS,
  type ChainOrder,
  type FaultId,
  type Level,
  type PracticePart,
  type ReliabilityPoint,
  type Done,
  type Said,
  type Score,
  type Taken,
  type Theme,
  type Untold,
} from '../core/practice';
import { INSTRUMENT_IDS } from '../core/quantity';
import { ACTIONS, isReadingPath, type Askable } from '../core/sheet';
import { CAUSES, type Cause, type Symptom } from '../core/symptom';
import type { ShopView } from './views';

const by = z.string().min(1).max(80);
const keysOf = <T extends object>(of: T) => Object.keys(of) as [keyof T & string, ...(keyof T & string)[]];

const level = z.enum(keysOf(LEVELS));

/** How a round is begun: alone, within minutes, on an assessor's paper, or with a guide. */
export const beginRoundSchema = z.strictObject({
  by,
  round: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('one'), level, theme: z.enum(THEME_IDS) }),
    /** What was missed before, and is due again. */
    z.strictObject({ kind: z.literal('due'), level }),
    z.strictObject({ kind: z.literal('twenty'), level }),
    z.strictObject({ kind: z.literal('paper'), paper: z.enum(PAPERS.map(({ id }) => id)) }),
    z.strictObject({ kind: z.literal('first') }),
  ]),
});
export type BeginRound = z.infer<typeof beginRoundSchema>;
export type RoundKind = BeginRound['round']['kind'];

/** A reading that is taken: as many were taken before it, so that asking twice takes it once. */
export const takeSchema = z.strictObject({
  by,
  before: z.int().min(0).max(1000),
  path: z.string().max(80).refine(isReadingPath, 'Not a place of the sheet.'),
  at: z.number().min(0).max(2000).nullable(),
  instrument: z.enum(INSTRUMENT_IDS).nullable(),
});
export type TakeReading = z.infer<typeof takeSchema>;

/** A hint, asked for after so many others. */
export const hintSchema = z.strictObject({ by, before: z.int().min(0).max(1000) });

const sure = z.number().min(0.5).max(1);

/** What is said of a set. */
export const practiceAnswerSchema = z.strictObject({
  by,
  parts: z.record(z.enum(PRACTICE_PARTS), z.strictObject({ action: z.enum(ACTIONS), sure })),
  faults: z.array(z.enum(FAULT_IDS)).max(FAULT_IDS.length),
  causes: z.array(z.enum(keysOf(CAUSES))).max(60),
  belongs: z.boolean(),
  order: z
    .strictObject({
      family: z.enum(FAMILY_IDS),
      gauge: z.enum(GAUGE_IDS),
      driveLinks: z.int().min(20).max(200),
      kickback: z.enum(['low-kickback', 'standard']),
    })
    .nullable(),
});
export type PracticeAnswer = z.infer<typeof practiceAnswerSchema>;

/** A hint as it was given: what to read next, and where; null where nothing more is to be read. */
export interface HintView {
  readonly measure: Askable | null;
  readonly at: number | null;
  readonly minutes: number;
}

/** A set as it was made, told after the answer. */
export interface TruthView {
  readonly faults: readonly FaultId[];
  readonly causes: readonly Cause[];
  readonly actions: Readonly<Record<PracticePart, readonly Done[]>>;
  readonly belongs: boolean;
  readonly order: ChainOrder | null;
}

/** What a round comes to. */
export interface ReviewView {
  readonly truth: TruthView;
  readonly said: Said & { readonly sure: Readonly<Partial<Record<PracticePart, number>>> };
  readonly score: Score;
  readonly untold: readonly Untold[];
  readonly forNothing: readonly Askable[];
  /** Every reading of it as it was made, without any error. */
  readonly made: readonly Taken[];
}

/** A round as its learner sees it: nothing of the set that was not asked for. */
export interface RoundView {
  readonly id: string;
  readonly kind: RoundKind;
  readonly level: Level;
  /** What was chosen; null where nobody is to know. */
  readonly theme: Theme | null;
  readonly paper: string | null;
  readonly by: string;
  readonly at: string;
  /** The number of the set in its sitting, from 1, and how many there are; null where that hangs on the minutes. */
  readonly place: number;
  readonly of: number | null;
  readonly complaint: Symptom | null;
  readonly taken: readonly Taken[];
  readonly hints: readonly HintView[];
  readonly minutes: number;
  /** Minutes of the whole sitting so far, of those that it has; null where it has any. */
  readonly sitting: { readonly spent: number; readonly of: number } | null;
  readonly isAnswered: boolean;
  /** What it came to; null before the answer, and on a paper before the last. */
  readonly review: ReviewView | null;
}

export interface RoundPageView {
  readonly shop: ShopView;
  readonly round: RoundView;
  /** All sets of a paper that is done; empty otherwise. */
  readonly paper: readonly RoundView[];
}

/** A round in a list. */
export interface RoundLine {
  readonly id: string;
  readonly by: string;
  readonly at: string;
  readonly kind: RoundKind;
  readonly level: Level;
  readonly theme: Theme | null;
  readonly paper: string | null;
  readonly place: number;
  /** 0…1; null before it is told. */
  readonly points: number | null;
  readonly minutes: number;
  readonly isAnswered: boolean;
}

/** How somebody does with one fault. */
export interface SkillView {
  readonly fault: FaultId;
  readonly met: number;
  readonly found: number;
  /** When it comes again; null where it was never met. */
  readonly due: string | null;
  readonly isDue: boolean;
}

/** How somebody does. */
export interface ProgressView {
  readonly by: string;
  readonly rounds: number;
  readonly points: number | null;
  readonly brier: number | null;
  readonly statements: number;
  readonly reliability: readonly ReliabilityPoint[];
  readonly skills: readonly SkillView[];
  readonly lines: readonly RoundLine[];
}

export interface PracticeView {
  readonly shop: ShopView;
  readonly progress: ProgressView;
  /** Others who practise; empty for whoever may not see them. */
  readonly others: readonly { readonly by: string; readonly rounds: number }[];
  /** Whose progress is shown is not whoever looks. */
  readonly isOther: boolean;
}
