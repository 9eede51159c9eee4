import { estimate, type Bounds, type Estimate, type LengthReading } from './reading';
import { mm, type Unit } from './length';
import { normalCdf } from './normal';

/** Which side of a limit is the good one: at least (`min`) or at most (`max`). The limit itself is good. */
export type LimitKind = 'min' | 'max';

/** How a value stands to its limit. `watch` is an ok inside the shop's warning band. */
export type Outcome = 'ok' | 'watch' | 'fail' | 'undecided' | 'not-measured';

/** Probability on the good side from which a value counts as ok; its complement counts as fail (JCGM 106:2012, 8.3). */
export const SURE = 0.95;

/** The judgement of one value against one limit. */
export interface Conformity {
  /** Probability that the true value is on the good side, 0…1. */
  readonly probability: number;
  readonly outcome: Exclude<Outcome, 'not-measured'>;
}

/**
 * Probability that a normally distributed value is on the good side of a limit (JCGM 106:2012, 7.2).
 * With no uncertainty it is 0 or 1, and a value on the limit is good.
 * @example probabilityWithin({ value: mm(6.1), u: 0.2 }, 6, 'min') // 0.691
 */
export function probabilityWithin<U extends Unit>({ value, u }: Estimate<U>, limit: number, kind: LimitKind): number {
  const margin = kind === 'min' ? value - limit : limit - value;
  if (u === 0) return margin >= 0 ? 1 : 0;
  return normalCdf(margin / u);
}

/**
 * What can be said of the probability that a value is on the good side: it lies between the two. They are equal where a
 * reading says all there is; a bound alone leaves everything open between what it excludes and what it allows.
 */
export interface Within {
  readonly least: number;
  readonly most: number;
}

/** A probability that is known. */
export const exactly = (probability: number): Within => ({ least: probability, most: probability });

/**
 * How likely a reading is on the good side of a limit (JCGM 106:2012): normal for a measured one, the share of the
 * interval for one between two marks. A single mark is a bound and judged as one: where it lies beyond the limit it
 * condemns; where even a reading made at the mark itself would clear, it clears; else it leaves the question open.
 */
export function readingWithin(reading: LengthReading, limit: number, kind: LimitKind): Within {
  if (reading.kind === 'measured') return exactly(probabilityWithin(estimate(reading)!, limit, kind));
  const { lo, hi, u = 0 } = reading;
  if (lo !== null && hi !== null) return exactly(shareWithin(lo, hi, limit, kind));
  const [worst, best] = kind === 'min' ? [lo, hi] : [hi, lo];
  if (worst !== null) return { least: probabilityWithin({ value: worst, u }, limit, kind), most: 1 };
  const excluded = best !== null && (kind === 'min' ? best <= limit : best >= limit);
  return { least: 0, most: excluded ? 0 : 1 };
}

/**
 * How likely a value is on the good side where it is known from below and from above, each as an estimate: at worst by
 * the one, at best by the other; a side that nothing holds leaves all open.
 */
export function boundsWithin<U extends Unit>({ lo, hi }: Bounds<U>, limit: number, kind: LimitKind): Within {
  const [worst, best] = kind === 'min' ? [lo, hi] : [hi, lo];
  return {
    least: worst ? probabilityWithin(worst, limit, kind) : 0,
    most: best ? probabilityWithin(best, limit, kind) : 1,
  };
}

/** Share of an interval on the good side of a limit. */
function shareWithin(lo: number, hi: number, limit: number, kind: LimitKind): number {
  if (lo === hi) return probabilityWithin({ value: mm(lo), u: 0 }, limit, kind);
  const above = Math.min(1, Math.max(0, (hi - limit) / (hi - lo)));
  return kind === 'min' ? above : 1 - above;
}

/**
 * Turns a probability into one of the outcomes.
 * @param inWarningBand true when the value lies inside the shop's warning band: an ok becomes `watch`
 */
export function outcomeOf(probability: number, inWarningBand = false): Conformity['outcome'] {
  if (probability >= SURE) return inWarningBand ? 'watch' : 'ok';
  return probability <= 1 - SURE + Number.EPSILON ? 'fail' : 'undecided';
}

/** The outcome where only bounds of the probability may be known: called only when both ends of it agree. */
export function outcomeWithin({ least, most }: Within, inWarningBand = false): Conformity['outcome'] {
  if (least >= SURE) return outcomeOf(least, inWarningBand);
  return outcomeOf(most) === 'fail' ? 'fail' : 'undecided';
}

/** Judges one estimate against one limit. */
export function conformity(value: Estimate, limit: number, kind: LimitKind, inWarningBand = false): Conformity {
  const probability = probabilityWithin(value, limit, kind);
  return { probability, outcome: outcomeOf(probability, inWarningBand) };
}
