import { median } from './median';

/** The middle one of some values. */
export interface Middle {
  readonly count: number;
  /** Half of all such values lie below. */
  readonly middle: number;
  /** It lies between, at least eight times in ten. */
  readonly from: number;
  readonly until: number;
}

/** Chance that the middle lies beyond one end of the interval, at most. */
const BEYOND = 0.1;

/**
 * How many of n values may be left off each end, so that the middle of all such values still lies within the rest: the
 * largest k with P(fewer than k of n fair coins show heads) ≤ 0.1; 0 where the two outermost do not bound it.
 */
function leftOff(n: number): number {
  // Logarithms: a half to the power of some thousand is no number any more.
  let [log, sum, k] = [-n * Math.LN2, 0, 0];
  while (k <= n / 2) {
    sum += Math.exp(log);
    if (sum > BEYOND) return k;
    log += Math.log((n - k) / (k + 1));
    k += 1;
  }
  return k;
}

/**
 * The middle of values of which nothing is known but that each stands by itself, with its interval by rank: whatever
 * their distribution, it holds at least eight times in ten.
 * @returns null of fewer than four: they bound nothing
 * @see NIST/SEMATECH e-Handbook of Statistical Methods, on distribution-free intervals of a percentile (from memory)
 * @example middleOf([3, 9, 4, 5, 20]) // middle 5, from 3 until 20
 */
export function middleOf(values: readonly number[]): Middle | null {
  const count = values.length;
  const off = leftOff(count);
  if (off === 0) return null;
  const ordered = [...values].sort((one, other) => one - other);
  return { count, middle: median(ordered), from: ordered[off - 1]!, until: ordered[count - off]! };
}
