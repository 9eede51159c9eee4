import type { Edge } from '../bar';
import type { Check } from '../judge';
import type { InstrumentId } from '../quantity';
import type { Part } from '../reading';
import type { Askable } from '../sheet';
import type { Cause, Symptom } from '../symptom';

/** Why a measurement is worth making. */
export type NextReason =
  | { readonly code: 'never-measured'; readonly part: Part }
  | { readonly code: 'too-close'; readonly check: Check; readonly instrument: InstrumentId }
  | { readonly code: 'settles'; readonly property: 'pitch' | 'gauge' | 'driveLinks' }
  | { readonly code: 'limit-waits'; readonly property: 'pitch' | 'gauge' }
  | { readonly code: 'one-side-known'; readonly check: Check }
  | { readonly code: 'step-may-stand'; readonly edge: Edge; readonly chance: number }
  /** Somebody was not sure of what they saw, or it contradicts what was measured. */
  | { readonly code: 'not-sure'; readonly check: Check }
  /** It separates the two causes in front of a complaint. */
  | { readonly code: 'separates'; readonly symptom: Symptom; readonly between: readonly [Cause, Cause] }
  /** A chain that came off may have hurt what catches it, and the groove. */
  | { readonly code: 'came-off' };

/** One measurement worth making: what it takes off the chance of a wrong verdict, and the minutes it costs. */
export interface NextMeasurement {
  readonly measure: Askable;
  /** Where along an edge, mm, for a place where no station is yet; null elsewhere. */
  readonly at: number | null;
  readonly gain: number;
  readonly minutes: number;
  readonly reason: NextReason;
  /** What it answers: of several that answer one question the best is enough. */
  readonly question: string;
}

/** Before it is known what else answers the same question. */
export type Asked = Omit<NextMeasurement, 'question' | 'at'> & { readonly question?: string; readonly at?: number };

/** With nothing known of it, a condemning reading is as likely good as bad: deciding blind is wrong half the time. */
export const BLIND = 0.5;
