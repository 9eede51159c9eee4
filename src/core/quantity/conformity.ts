import { estimate, type Estimate, type LengthReading } from './reading';
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
export function probabilityWithin({ value, u }: Estimate, limit: number, kind: LimitKind): number {
  const margin = kind === 'min' ? value - limit : limit - value;
  if (u === 0) return margin >= 0 ? 1 : 0;
  return normalCdf(margin / u);
}

/**
 * Probability that a reading is on the good side of a limit: normal for a measured one, the share of the interval for a
 * bounded one. An open interval decides only when all of it lies on one side.
 * @returns null when an open interval straddles the limit, so that nothing can be said
 */
export function readingWithin(reading: LengthReading, limit: number, kind: LimitKind): number | null {
  if (reading.kind === 'measured') return probabilityWithin(estimate(reading)!, limit, kind);
  const lo = reading.lo ?? -Infinity;
  const hi = reading.hi ?? Infinity;
  if (lo >= limit) return kind === 'min' ? 1 : Number(hi === limit);
  if (hi <= limit) return kind === 'max' ? 1 : 0;
  if (!Number.isFinite(hi - lo)) return null;
  const above = (hi - limit) / (hi - lo);
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

/** Judges one estimate against one limit. */
export function conformity(value: Estimate, limit: number, kind: LimitKind, inWarningBand = false): Conformity {
  const probability = probabilityWithin(value, limit, kind);
  return { probability, outcome: outcomeOf(probability, inWarningBand) };
}
