import { flatMap } from '../flat-map';
import { columnOf, factorise, solveLower, type Matrix } from './matrix';
import {
  layoutOf,
  type Component,
  type Layout,
  type Make,
  type ProfileBelief,
  type ProfilePrior,
  type Sighting,
} from './profile';

/** Components lighter than this are dropped. */
const NEGLIGIBLE = 0.03;

/** Predictions at the places from one way of being made: what each reading weighs there, and what doubt is left. */
interface Prediction {
  /** `L⁻¹·K*`, one column for each place. */
  readonly solved: Float64Array;
  /** Cholesky factor of what the readings leave of the prior. */
  readonly factor: Matrix;
}

/** One way of being made at the places that were read. */
interface MadeSo {
  readonly made: Make;
  /** Cholesky factor of the readings' covariance. */
  readonly factor: Matrix;
  /** Logarithm of its weight before what was read is known. */
  readonly logWeight: number;
  /** Worked out where it is first wanted. */
  prediction: Prediction | null;
}

/**
 * What readings at given places with given doubts allow to know, whatever they say: all of the work that does not
 * depend on their values. The rails of both edges, and widths before and after a dressing, are mostly read alike and
 * share one design.
 */
export interface Design {
  readonly layout: Layout;
  readonly variances: Float64Array;
  readonly prior: ProfilePrior;
  readonly ways: readonly MadeSo[];
}

function wayOf(made: Make, variances: Float64Array, { between }: Layout): MadeSo {
  const n = variances.length;
  const level = made.levelSpread ** 2;
  const scale = made.scale ** 2;
  const factor = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const row = i * n;
    for (let j = 0; j <= i; j += 1) factor[row + j] = level + scale * between[row + j]!;
    factor[row + i] = factor[row + i]! + variances[i]!;
  }
  factorise(factor, n);
  let logWeight = Math.log(made.weight);
  let volume = 1;
  for (let k = 0; k < n; k += 1) {
    volume *= factor[k * n + k]!;
    // One logarithm for several factors, before their product leaves what a number can hold.
    if (k % 16 === 15 || k === n - 1) {
      logWeight -= Math.log(volume);
      volume = 1;
    }
  }
  return { made, factor, logWeight, prediction: null };
}

/** The design of readings with these variances of their own, at the places of a layout. */
export function designOf(variances: Float64Array, layout: Layout, prior: ProfilePrior): Design {
  return { layout, variances, prior, ways: prior.makes.map((made) => wayOf(made, variances, layout)) };
}

const isSame = (a: ArrayLike<number>, b: ArrayLike<number>): boolean => {
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return false;
  return a.length === b.length;
};

/** Gives out designs, each worked out once. */
export type Designs = (
  variances: Float64Array,
  ats: readonly number[],
  places: readonly number[],
  prior: ProfilePrior,
) => Design;

/** A fresh store of designs, for one sheet. */
export function designsOfSheet(): Designs {
  const layouts: Layout[] = [];
  const designs: Design[] = [];
  const layoutFor = (ats: readonly number[], places: readonly number[]): Layout => {
    const known = layouts.find((layout) => isSame(layout.ats, ats) && isSame(layout.places, places));
    if (known) return known;
    const layout = layoutOf(ats, places);
    layouts.push(layout);
    return layout;
  };
  return (variances, ats, places, prior) => {
    const layout = layoutFor(ats, places);
    const known = designs.find(
      (design) => design.layout === layout && design.prior === prior && isSame(design.variances, variances),
    );
    if (known) return known;
    const design = designOf(variances, layout, prior);
    designs.push(design);
    return design;
  };
}

/** Predicts the places: what the readings leave of the prior, `K** − K*ᵀ·K⁻¹·K*` by the factor. */
function predict({ factor, made }: MadeSo, layout: Layout): Prediction {
  const n = layout.ats.length;
  const m = layout.places.length;
  const level = made.levelSpread ** 2;
  const scale = made.scale ** 2;
  const solved = new Float64Array(n * m);
  const covariance = new Float64Array(m * m);
  for (let j = 0; j < m; j += 1) {
    const column = j * n;
    for (let k = 0; k < n; k += 1) {
      let rest = level + scale * layout.across[k * m + j]!;
      const row = k * n;
      for (let l = 0; l < k; l += 1) rest -= factor[row + l]! * solved[column + l]!;
      solved[column + k] = rest / factor[row + k]!;
    }
    for (let i = 0; i <= j; i += 1) {
      let left = level + scale * layout.within[j * m + i]!;
      const other = i * n;
      for (let k = 0; k < n; k += 1) left -= solved[column + k]! * solved[other + k]!;
      covariance[j * m + i] = left;
    }
  }
  return { solved, factor: factorise(covariance, m) };
}

/** What a way of being made believes at the places, once the readings are known: their residual is `L⁻¹·y`. */
function componentOf(way: MadeSo, layout: Layout, residual: Float64Array, centre: number, weight: number): Component {
  way.prediction ??= predict(way, layout);
  const { solved, factor } = way.prediction;
  const n = residual.length;
  const mean = new Float64Array(layout.places.length);
  for (let j = 0; j < mean.length; j += 1) {
    let sum = centre;
    for (let k = 0; k < n; k += 1) sum += solved[j * n + k]! * residual[k]!;
    mean[j] = sum;
  }
  return { made: way.made, weight, mean, factor };
}

/**
 * What is believed of a profile from all its readings: a Gaussian process whose roughness is not fixed but averaged
 * over (Rasmussen & Williams, ch. 2 and 5). Few readings lean on the prior, many on themselves.
 * @param values readings at the places of the design, one for each; none where the prior has a level of its own
 * @param negligible ways lighter than this are dropped
 */
export function believedBy(
  { layout, prior, ways }: Design,
  values: readonly number[],
  negligible = NEGLIGIBLE,
): ProfileBelief {
  const n = values.length;
  const centre = prior.level ?? values.reduce((sum, value) => sum + value, 0) / n;
  const off = columnOf(values, (value) => value - centre);
  const residuals = ways.map(({ factor }) => solveLower(factor, n, off.slice()));
  const fitness = ways.map(({ logWeight }, i) => {
    let sum = logWeight;
    for (const each of residuals[i]!) sum -= (each * each) / 2;
    return sum;
  });
  const best = Math.max(...fitness);
  const raw = fitness.map((each) => Math.exp(each - best));
  const total = raw.reduce((sum, each) => sum + each, 0);
  const kept = raw.map((each) => (each / total >= negligible ? each : 0));
  const left = kept.reduce((sum, each) => sum + each, 0);
  return {
    places: layout.places,
    components: flatMap(ways, (way, i) =>
      kept[i]! > 0 ? [componentOf(way, layout, residuals[i]!, centre, kept[i]! / left)] : [],
    ),
  };
}

/** The same from readings that share their design with no others. */
export function profileBelief(sightings: readonly Sighting[], layout: Layout, prior: ProfilePrior): ProfileBelief {
  const variances = columnOf(sightings, ({ variance }) => variance);
  return believedBy(
    designOf(variances, layout, prior),
    sightings.map(({ value }) => value),
  );
}

/** The same from readings at places of their own, by the designs of their sheet. */
export function believedAlong(
  designs: Designs,
  sightings: readonly Sighting[],
  places: readonly number[],
  prior: ProfilePrior,
): ProfileBelief {
  const variances = columnOf(sightings, ({ variance }) => variance);
  const ats = sightings.map(({ at }) => at);
  return believedBy(
    designs(variances, ats, places, prior),
    sightings.map(({ value }) => value),
  );
}
