import type { Matrix } from './matrix';

/** One reading of something that changes along a line: where, what, and the variance that it has for itself, mm². */
export interface Sighting {
  readonly at: number;
  readonly value: number;
  readonly variance: number;
}

/**
 * One way a profile may be made: how far its level may lie from the usual, and how large its smooth part is. Standard
 * deviations, mm.
 */
export interface Make {
  readonly levelSpread: number;
  readonly scale: number;
  /** Weight before anything was read. */
  readonly weight: number;
}

/**
 * What is thought of a profile before anything is read: which way it is made nobody knows, and each is weighed by how
 * well it explains the readings.
 */
export interface ProfilePrior {
  /** The usual level; null where nothing is known, and the mean of the readings stands in. */
  readonly level: number | null;
  readonly makes: readonly Make[];
}

/** What is believed of a profile with one scale of roughness: normal at the places asked for. */
export interface Component {
  /** The way of being made that it is about. */
  readonly made: Make;
  readonly weight: number;
  readonly mean: Float64Array;
  /** Cholesky factor of the covariance. */
  readonly factor: Matrix;
}

/** A belief about a profile at given places. */
export interface ProfileBelief {
  readonly places: readonly number[];
  readonly components: readonly Component[];
}

/** Reach of the smooth part along the bar, mm (a way that was tried on simulated bars). */
export const REACH = 80;
/** A dent or a forced spot reaches this far, mm; it has this share of the variance. */
export const SHORT_REACH = 14;
export const SHORT_SHARE = 0.1;

/** Matérn correlation of order 3/2 (Rasmussen & Williams, Gaussian Processes for Machine Learning, eq. 4.17). */
function matern(distance: number, reach: number): number {
  const x = (Math.sqrt(3) * distance) / reach;
  return (1 + x) * Math.exp(-x);
}

/** Correlation of a profile with itself at a distance: long waves, and a share of short ones. */
export function correlation(distance: number): number {
  return (1 - SHORT_SHARE) * matern(distance, REACH) + SHORT_SHARE * matern(distance, SHORT_REACH);
}

function correlations(a: readonly number[], b: readonly number[]): Float64Array {
  const table = new Float64Array(a.length * b.length);
  const isSame = a === b;
  for (let i = 0; i < a.length; i += 1)
    for (let j = isSame ? i : 0; j < b.length; j += 1) {
      const value = correlation(Math.abs(a[i]! - b[j]!));
      table[i * b.length + j] = value;
      if (isSame) table[j * b.length + i] = value;
    }
  return table;
}

/** The correlations that a belief needs, which are the same for everything measured at the same places. */
export interface Layout {
  readonly ats: readonly number[];
  readonly places: readonly number[];
  readonly between: Float64Array;
  readonly across: Float64Array;
  readonly within: Float64Array;
}

export function layoutOf(ats: readonly number[], places: readonly number[]): Layout {
  // Where every place is a station, one table serves for all three.
  if (ats.length === places.length && ats.every((at, i) => at === places[i])) {
    const all = correlations(ats, ats);
    return { ats, places, between: all, across: all, within: all };
  }
  return {
    ats,
    places,
    between: correlations(ats, ats),
    across: correlations(ats, places),
    within: correlations(places, places),
  };
}

/** Mean and standard uncertainty at one place, over all components. */
export function believedAt({ components, places }: ProfileBelief, j: number): { mean: number; u: number } {
  const m = places.length;
  let mean = 0;
  let square = 0;
  for (const { weight, mean: means, factor } of components) {
    let variance = 0;
    for (let k = 0; k <= j; k += 1) variance += factor[j * m + k]! * factor[j * m + k]!;
    mean += weight * means[j]!;
    square += weight * (variance + means[j]! ** 2);
  }
  return { mean, u: Math.sqrt(Math.max(0, square - mean ** 2)) };
}
