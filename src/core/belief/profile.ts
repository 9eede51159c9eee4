import { factorise, solveLower, type Matrix } from './matrix';

/** One reading of something that changes along a line: where, what, and the variance that it has for itself, mm². */
export interface Sighting {
  readonly at: number;
  readonly value: number;
  readonly variance: number;
}

/** One way a profile may be made: how far its level may lie from the usual, and how large its smooth part is. Standard deviations, mm. */
export interface Make {
  readonly levelSpread: number;
  readonly scale: number;
  /** Weight before anything was read. */
  readonly weight: number;
}

/** What is thought of a profile before anything is read: which way it is made nobody knows, and each is weighed by how well it explains the readings. */
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
export const SHORT_SHARE = 0.12;

/** Matérn correlation of order 3/2 (Rasmussen & Williams, Gaussian Processes for Machine Learning, eq. 4.17). */
function matern(distance: number, reach: number): number {
  const x = (Math.sqrt(3) * distance) / reach;
  return (1 + x) * Math.exp(-x);
}

/** Correlation of a profile with itself at a distance: long waves, and a share of short ones. */
export function correlation(distance: number): number {
  return (1 - SHORT_SHARE) * matern(distance, REACH) + SHORT_SHARE * matern(distance, SHORT_REACH);
}

/** Components lighter than this are dropped. */
const NEGLIGIBLE = 0.03;

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

interface Fit {
  readonly factor: Matrix;
  /** `L⁻¹·y`. */
  readonly residual: Float64Array;
  readonly logWeight: number;
}

/** Fits one way of being made: the factor of the readings' covariance and how well it explains them. */
function fit(values: Float64Array, variances: Float64Array, layout: Layout, made: Make): Fit {
  const n = values.length;
  const level = made.levelSpread ** 2;
  const scale = made.scale ** 2;
  const { between } = layout;
  const factor = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const row = i * n;
    for (let j = 0; j <= i; j += 1) factor[row + j] = level + scale * between[row + j]!;
    factor[row + i] = factor[row + i]! + variances[i]!;
  }
  factorise(factor, n);
  const residual = solveLower(factor, n, values.slice());
  let logWeight = Math.log(made.weight);
  let volume = 1;
  for (let k = 0; k < n; k += 1) {
    volume *= factor[k * n + k]!;
    logWeight -= (residual[k]! * residual[k]!) / 2;
    // One logarithm for several factors, before their product leaves what a number can hold.
    if (k % 16 === 15 || k === n - 1) {
      logWeight -= Math.log(volume);
      volume = 1;
    }
  }
  return { factor, residual, logWeight };
}

/** Predicts the places from one fit: what the readings leave of the prior, `K** − K*ᵀ·K⁻¹·K*` by the factor. */
function predict(fitted: Fit, layout: Layout, centre: number, made: Make, weight: number): Component {
  const { factor, residual } = fitted;
  const n = layout.ats.length;
  const m = layout.places.length;
  const level = made.levelSpread ** 2;
  const scale = made.scale ** 2;
  const solved = new Float64Array(n * m);
  const mean = new Float64Array(m);
  const covariance = new Float64Array(m * m);
  for (let j = 0; j < m; j += 1) {
    const column = j * n;
    let sum = centre;
    for (let k = 0; k < n; k += 1) {
      let rest = level + scale * layout.across[k * m + j]!;
      const row = k * n;
      for (let l = 0; l < k; l += 1) rest -= factor[row + l]! * solved[column + l]!;
      rest /= factor[row + k]!;
      solved[column + k] = rest;
      sum += rest * residual[k]!;
    }
    mean[j] = sum;
    for (let i = 0; i <= j; i += 1) {
      let left = level + scale * layout.within[j * m + i]!;
      const other = i * n;
      for (let k = 0; k < n; k += 1) left -= solved[column + k]! * solved[other + k]!;
      covariance[j * m + i] = left;
    }
  }
  return { made, weight, mean, factor: factorise(covariance, m) };
}

/**
 * What is believed of a profile from all its readings: a Gaussian process whose roughness is not fixed but averaged over (Rasmussen & Williams, ch. 2 and
 * 5). Few readings lean on the prior, many on themselves.
 * @param sightings readings at `layout.ats`, one for each, at least one
 */
export function profileBelief(sightings: readonly Sighting[], layout: Layout, prior: ProfilePrior): ProfileBelief {
  const n = sightings.length;
  const centre = prior.level ?? sightings.reduce((sum, { value }) => sum + value, 0) / n;
  const values = new Float64Array(n);
  const variances = new Float64Array(n);
  sightings.forEach(({ value, variance }, i) => {
    values[i] = value - centre;
    variances[i] = variance;
  });
  const fits = prior.makes.map((made) => fit(values, variances, layout, made));
  const best = Math.max(...fits.map(({ logWeight }) => logWeight));
  const raw = fits.map(({ logWeight }) => Math.exp(logWeight - best));
  const total = raw.reduce((sum, each) => sum + each, 0);
  const kept = raw.map((each) => (each / total >= NEGLIGIBLE ? each : 0));
  const left = kept.reduce((sum, each) => sum + each, 0);
  return {
    places: layout.places,
    components: fits.flatMap((fitted, i) =>
      kept[i]! > 0 ? [predict(fitted, layout, centre, prior.makes[i]!, kept[i]! / left)] : [],
    ),
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
