import type { Edge } from '../declared';
import type { Check } from '../judge';
import type { InstrumentId } from '../quantity';
import type { Part } from '../reading';
import type { Askable } from '../sheet';
import type { Cause, Symptom } from '../symptom';

/** Why a measurement is worth making. */
export type NextReason =
  | { readonly code: 'never-measured'; readonly part: Part }
  /** A quick look that bears out what was foreseen, in place of measuring it. */
  | { readonly code: 'bears-out'; readonly part: Part }
  | { readonly code: 'too-close'; readonly check: Check; readonly instrument: InstrumentId }
  | { readonly code: 'settles'; readonly property: 'pitch' | 'gauge' | 'driveLinks' }
  | { readonly code: 'limit-waits'; readonly property: 'pitch' | 'gauge' }
  /** A figure lacks it: how the links lean, or what is left of a cutter once its angle is filed right. */
  | { readonly code: 'figure-waits'; readonly figure: 'lean' | 'cutter' }
  | { readonly code: 'one-side-known'; readonly check: Check }
  /** All that was read clears a depth; a dip between the stations may not. */
  | { readonly code: 'may-hide'; readonly chance: number }
  | { readonly code: 'step-may-stand'; readonly edge: Edge; readonly chance: number }
  /** Somebody was not sure of what they saw, or it contradicts what was measured. */
  | { readonly code: 'not-sure'; readonly check: Check }
  /** It finds or clears a cause of a complaint. */
  | { readonly code: 'tells-cause'; readonly symptom: Symptom; readonly about: Cause; readonly again: boolean }
  /** A level test, an eye or a hand contradicts all else: it is made again. */
  | { readonly code: 'contradicts'; readonly check: Check }
  /** Level tests decide that the bar is dressed: its depth tells what metal is left. */
  | { readonly code: 'metal-left' }
  /** One of many depth gauges may stand wrong. */
  | { readonly code: 'gauge-open'; readonly chance: number }
  /** Whether a part is the one of the last service: then what was foreseen of it spares readings. */
  | { readonly code: 'spares'; readonly spares: readonly Askable[]; readonly seen: string; readonly on: string }
  /** A new part cannot be chosen without it. */
  | { readonly code: 'chooses-part'; readonly part: Part }
  /** A chain that came off may have hurt what catches it, and the groove. */
  | { readonly code: 'came-off' };

/** One measurement worth making: what it takes off the chance of a wrong verdict, and the minutes it costs. */
export interface NextMeasurement {
  readonly measure: Askable;
  /** Where along an edge, mm, for a place where no station is yet; null elsewhere. */
  readonly at: number | null;
  /** Where along an edge it is read, mm, at a station or where none is yet; null elsewhere. */
  readonly mm: number | null;
  readonly gain: number;
  /** Chance that it decides: that it condemns, or settles what is open. */
  readonly decides: number;
  readonly minutes: number;
  readonly reason: NextReason;
  /** What it answers: of several that answer one question the best is enough. */
  readonly question: string;
}

/** Before it is known what else answers the same question. */
export type Asked = Omit<NextMeasurement, 'question' | 'at' | 'mm' | 'decides'> & {
  readonly question?: string;
  readonly at?: number;
  /** Where it is not told, what it takes off the chance of a wrong call. */
  readonly decides?: number;
};

/** With nothing known of it, a condemning reading is as likely good as bad: deciding blind is wrong half the time. */
export const BLIND = 0.5;
/** What a verdict waits for by name settles it as often as not. */
export const SETTLES = 0.5;
