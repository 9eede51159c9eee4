import { difference, percent, quadrature, type Bounds, type Estimate } from '../quantity';

/** Wear in the rivets from the push-and-pull measure. */
export interface Elongation {
  /** Percent of the closed length, never below nothing. */
  readonly percent: number;
  /** Standard uncertainty of the percentage. */
  readonly u: number;
  /** Play per joint, mm, never below nothing. */
  readonly perJoint: number;
  /** True where closed came out longer than pulled by more than the doubt of both: one of them is wrong. */
  readonly contradicts: boolean;
}

/** Closed longer than pulled by more than so many standard uncertainties is no scatter. */
const BEYOND_DOUBT = 2;

/**
 * Elongation by push and pull: half the loop pushed closed, then pulled out, `100·(Lp − Lc)/Lc`, and the play per joint
 * `(Lp − Lc)/n`. One tape for both: its own error cancels. Wear is never negative: a difference below nothing within
 * its doubt counts as none, beyond it the two contradict each other.
 * @param joints joints in the stretch measured, at least 1
 * @example elongation({value: 483.1…}, {value: 489.6…}, 52) // 1.345 %, 0.125 mm
 */
export function elongation(closed: Estimate, pulled: Estimate, joints: number): Elongation {
  const { value, u } = difference(pulled, closed);
  const play = Math.max(0, value);
  return {
    percent: (100 * play) / closed.value,
    u: (100 * u) / closed.value,
    perJoint: play / joints,
    contradicts: value < -BEYOND_DOUBT * u,
  };
}

/** The same in percent from below and from above, where one of the lengths is known only by a mark. */
export function elongationBounds(closed: Bounds, pulled: Bounds): Bounds<'%'> {
  const stretch = (long: Estimate | null, short: Estimate | null): Estimate<'%'> | null => {
    if (!long || !short) return null;
    const { value, u } = difference(long, short);
    return { value: percent((100 * Math.max(0, value)) / short.value), u: (100 * u) / short.value };
  };
  return { lo: stretch(pulled.lo, closed.hi), hi: stretch(pulled.hi, closed.lo) };
}

/** A percentage over what the chain showed when it was new, never below nothing. */
export function overBaseline(worn: Estimate<'%'>, fresh: Elongation | null): Estimate<'%'> {
  if (!fresh) return worn;
  return { value: percent(Math.max(0, worn.value - fresh.percent)), u: quadrature(worn.u, fresh.u) };
}

/** A stretch of joints pulled out. */
export interface Pulled {
  readonly length: Estimate;
  readonly joints: number;
}

/**
 * Elongation by span: the pulled length of a joint over its length when the chain was new, percent, never below
 * nothing. Only a measured baseline will do: the label is coarser than the metal.
 * @example elongationBySpan({ length: 489.6, joints: 52 }, { length: 484.1, joints: 52 }) // 1.136
 */
export function elongationBySpan(worn: Pulled, fresh: Pulled): Estimate<'%'> {
  const [now, then] = [worn.length.value / worn.joints, fresh.length.value / fresh.joints];
  const u = quadrature(worn.length.u / worn.length.value, fresh.length.u / fresh.length.value);
  return { value: percent(Math.max(0, 100 * (now / then - 1))), u: 100 * (now / then) * u };
}

/**
 * Travel of the tensioner that the play in the rivets costs, mm: a loop of n drive links has 2n joints, and the centres
 * take half of what it grew.
 * @example adjusterTravel(0.125, 72) // 9.0
 */
export const adjusterTravel = (perJoint: number, driveLinks: number): number => perJoint * driveLinks;
