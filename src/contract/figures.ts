import type { DriftFactor } from '../core/bar';
import type { NearMiss } from '../core/fit';
import type { KeptMoney, LearnedFigure, LearnedForecasts, LearnedLife, Overrides, Pace } from '../core/life';
import type { Limit } from '../core/limits';
import type { Part } from '../core/reading';
import type { Cause } from '../core/symptom';

/** A figure as the records have it, beside the one in force. */
export interface LearnedFigureView extends LearnedFigure {
  readonly inForce: Pick<Limit, 'value' | 'unit' | 'provenance'>;
  /** As it would be taken over: rounded to what is known of it, in the figure's unit. */
  readonly offered: number;
}

/** What the records of a time teach, and how the shop did in it. */
export interface FiguresView {
  /** Days, as ISO dates, both included. */
  readonly from: string;
  readonly until: string;
  /** Jobs that were taken in then. */
  readonly jobs: number;
  /** Only the newest of them were looked at, for what is learned. */
  readonly isCut: boolean;
  readonly states: { readonly open: number; readonly signedOff: number; readonly handedOver: number };
  /** Days from taking in to handing over, of those that went: the middle one, and nine in ten within. */
  readonly days: { readonly middle: number; readonly nineInTen: number } | null;
  /** Of jobs that went: which parts were mended and stayed, and which went on new. */
  readonly parts: readonly { readonly part: Part; readonly saved: number; readonly renewed: number }[];
  /** What was found to bring about the complaints, the commonest first, and jobs whose complaint has such a cause. */
  readonly causes: readonly { readonly cause: Cause; readonly jobs: number }[];
  /** How a wrong part would have been bought, the commonest first, and jobs that show it. */
  readonly nearMisses: readonly { readonly miss: NearMiss; readonly jobs: number }[];
  /** What was kept by mending parts in place of renewing them, by the figures in force. */
  readonly kept: readonly KeptMoney[];
  readonly overrides: Overrides;
  /** How long each operation takes that was done by itself. */
  readonly paces: readonly Pace[];
  /** The factor on foreseen drift, of all test cuts there are. */
  readonly drift: DriftFactor;
  readonly figures: readonly LearnedFigureView[];
  readonly lives: readonly LearnedLife[];
  readonly forecasts: readonly LearnedForecasts[];
}
