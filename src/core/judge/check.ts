import type { Edge, Rail } from '../declared';
import type { Way } from '../belief';
import type { FamilyId, Provenance } from '../families';
import type { InstrumentId, LimitKind, Outcome } from '../quantity';
import type { Part } from '../reading';
import type { Askable, JudgedCheckId, Operation, SeenCheckId } from '../sheet';

/** Where on a bar a check was made. */
export interface Place {
  readonly edge: Edge;
  /** Position among the stations of the sheet: no name for people, who see the millimetres. */
  readonly station?: number;
  /** How far from the tail the station lies, mm. */
  readonly mm?: number;
  readonly rail?: Rail;
}

/** Checks of the proof. */
export const PROOF_CHECKS = ['proof.idle', 'proof.oil', 'proof.drift', 'proof.swarf'] as const;
/** Checks of the saw as it goes out: they speak of no part as it came, and move no verdict. */
export const GOING_OUT_CHECKS = ['refit.lift', ...PROOF_CHECKS] as const;
/** Checks of what dressing would leave. */
export const FORESEEN_CHECKS = ['bar.depth-after', 'bar.floor-clearance-after', 'bar.play-after'] as const;

/**
 * Checks that are computed of several readings, in the order they are named; those of a finding or of one length stand
 * with its declaration.
 */
export const COMPUTED_CHECKS = [
  'bar.depth',
  'bar.depth-after',
  'bar.floor-clearance',
  'bar.floor-clearance-after',
  'bar.play',
  'bar.play-after',
  'bar.pinch',
  'bar.step',
  'bar.dip',
  'bar.chip',
  'bar.rut',
  'bar.marker',
  'bar.square',
  'bar.stands',
  'bar.nose',
  'chain.cutter',
  'chain.half',
  'chain.elongation',
  'chain.gauges-too-low',
  'chain.gauges-low',
  'chain.gauges-high',
  'chain.gauges-uneven',
  'chain.uneven',
  'chain.angle',
  'chain.tangs',
  'chain.tight-joints',
  'sprocket.chains',
  ...GOING_OUT_CHECKS,
] as const;
export type ComputedCheckId = (typeof COMPUTED_CHECKS)[number];
export type CheckId = ComputedCheckId | SeenCheckId | JudgedCheckId;

/** What must be said beside a check's figures. */
export type CheckNote =
  | { readonly code: 'needs'; readonly readings: readonly Askable[] }
  | { readonly code: 'depends-on-pitch'; readonly families: readonly FamilyId[] }
  /** The mouth alone says only that there is no more play than this. */
  | { readonly code: 'mouth-alone'; readonly lifted: boolean }
  /** Everything that was read is within; only a dip between the stations could go beyond. */
  | { readonly code: 'may-hide'; readonly ruled: boolean }
  /** The width near the floor alone says only that there is no less. */
  | { readonly code: 'floor-alone' }
  /** The chain that was on is thinner than the bar's own: a test with it tells of the chain. */
  | { readonly code: 'thin-chain' }
  /** Level tests alone say which rail stands high, if any: by how much nobody has measured. */
  | { readonly code: 'by-hand'; readonly high: Rail; readonly tests: number }
  /** A splayed mouth whose play was measured and is within its limit. */
  | { readonly code: 'play-clears' }
  /** Closed came out longer than pulled. */
  | { readonly code: 'closed-longer' }
  | { readonly code: 'damage-not-placed'; readonly side: 'left' | 'right' }
  | { readonly code: 'test-disagrees'; readonly observed: string; readonly predicted: string }
  | { readonly code: 'ask-replaceable' }
  /** The cutter that it is about. */
  | { readonly code: 'on-cutter'; readonly side: 'left' | 'right'; readonly cutter: number }
  | { readonly code: 'angle-wanted'; readonly degrees: number }
  | { readonly code: 'file-to-use'; readonly file: number }
  /** Strokes of the flat file that the highest depth gauge needs. */
  | {
      readonly code: 'gauge-strokes';
      readonly side: 'left' | 'right';
      readonly cutter: number;
      readonly strokes: number;
      /** Gauges that are filed. */
      readonly filed: number;
    }
  /** How far the cutters would have to go back until the lowest depth gauge stands right. */
  | { readonly code: 'gauge-back'; readonly side: 'left' | 'right'; readonly cutter: number; readonly back: number }
  /** Counted over what the chain showed when it was new. */
  | { readonly code: 'over-baseline'; readonly percent: number }
  /** The grade seen by eye contradicts the measured wear. */
  | { readonly code: 'grade-disagrees'; readonly measured: 'sound' | 'worn' }
  /** The same of the hand that felt a chain's joints. */
  | { readonly code: 'feel-disagrees' }
  /** Nobody measured it today: by its wear and the hours since a look it is held to be so. */
  | { readonly code: 'foreseen'; readonly seen: string; readonly on: string }
  /** What was measured, with what was foreseen of it: both had their say. */
  | { readonly code: 'with-foreseen'; readonly foreseen: number; readonly seen: string; readonly on: string }
  /** What was measured lies too far from what was foreseen. */
  | {
      readonly code: 'not-as-foreseen';
      readonly foreseen: number;
      /** Nothing grows back: better than foreseen is another part, or a reading that is wrong. */
      readonly better: boolean;
      readonly seen: string;
      readonly on: string;
    }
  /** Seized and packed with dirt: washed and tried again before it is judged. */
  | { readonly code: 'wash-first' };

/** A reading to take again, and what one more of it is worth. */
export interface Repeat {
  readonly measure: Askable;
  readonly u: number;
  readonly tool: InstrumentId;
}

/** Work that a check calls for, from which outcome on: a slight bow may be straightened before it condemns. */
export interface Work {
  readonly operation: Operation;
  readonly from: 'watch' | 'fail';
}

/** One judgement of one value or observation against one limit. Sentences are made of it in the wording. */
export interface Check {
  readonly id: CheckId;
  readonly part: Part;
  readonly at: Place | null;
  readonly value: number | null;
  readonly unit: 'mm' | '%' | 'deg' | 'count' | null;
  /** Standard uncertainty of the value. */
  readonly uncertainty: number | null;
  readonly limit: number | null;
  readonly watch: number | null;
  readonly kind: LimitKind | 'observation';
  /** Probability that the true value is on the good side. */
  readonly probability: number | null;
  readonly outcome: Outcome;
  readonly provenance: Provenance;
  /** Where the limit stands, when somebody has named it. */
  readonly source: string | null;
  /** Where one mark alone is known: the value is a bound, from below or from above. */
  readonly bound: 'at-least' | 'at-most' | null;
  /**
   * The reading it hangs on most, and the standard uncertainty that one more such reading would have, in the unit of
   * the value.
   */
  readonly repeat: Repeat | null;
  /** What to make again, because it contradicts all else that is known; null where it does not. */
  readonly again: Askable | null;
  /** True when failing it condemns the part; false when it only calls for work or watching. */
  readonly condemns: boolean;
  /** Work that it calls for, with this outcome. */
  readonly work: Operation | null;
  /** Work that it might call for, and from which outcome on. */
  readonly might: Work | null;
  /**
   * What its value is made of and held against, as it can be drawn; null where there is none, or one bound of it alone.
   */
  readonly ways: readonly Way[] | null;
  /** The observed word, for observations. */
  readonly observed: string | null;
  readonly note: CheckNote | null;
}
