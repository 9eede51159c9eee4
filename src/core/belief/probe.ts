import type { Design } from './design';
import { columnOf, solveLower, type Matrix } from './matrix';
import { covarianceAt, type Make } from './profile';

/** One way a profile may be made, with what its readings say of it. */
interface ProbedWay {
  readonly made: Make;
  /** Weight once the readings are known; all together 1. */
  readonly weight: number;
  /** Inverse of the readings' covariance. */
  readonly inverse: Matrix;
  /** The same times the readings less their centre. */
  readonly pull: Float64Array;
}

/** A smooth profile and its readings, made ready for the question whether something narrow takes away from a few of them. */
export interface Probe {
  readonly ats: readonly number[];
  readonly centre: number;
  readonly ways: readonly ProbedWay[];
}

/** What two neighbouring readings, by their numbers, lose to a dip, mm; either may lose nothing. */
export interface Drops {
  readonly first: number;
  readonly second: number;
  readonly byFirst: number;
  readonly bySecond: number;
}

/** Inverse of a symmetric matrix by its Cholesky factor, column by column. */
function inverseOf(factor: Matrix, size: number): Matrix {
  const columns = Array.from({ length: size }, (_, k) => {
    const unit = new Float64Array(size);
    unit[k] = 1;
    return solveLower(factor, size, unit);
  });
  const inverse = new Float64Array(size * size);
  for (let i = 0; i < size; i += 1)
    for (let j = 0; j <= i; j += 1) {
      let sum = 0;
      for (let k = i; k < size; k += 1) sum += columns[i]![k]! * columns[j]![k]!;
      inverse[i * size + j] = sum;
      inverse[j * size + i] = sum;
    }
  return inverse;
}

/** Edges of a sheet that are read alike share a design, and so its inverses. */
const INVERSES = new WeakMap<Design, readonly Matrix[]>();

function inversesOf(design: Design): readonly Matrix[] {
  const known = INVERSES.get(design);
  if (known) return known;
  const made = design.ways.map(({ factor }) => inverseOf(factor, design.variances.length));
  INVERSES.set(design, made);
  return made;
}

function times(matrix: Matrix, column: Float64Array): Float64Array {
  const size = column.length;
  const product = new Float64Array(size);
  for (let i = 0; i < size; i += 1)
    for (let k = 0; k < size; k += 1) product[i] = product[i]! + matrix[i * size + k]! * column[k]!;
  return product;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!;
  return sum;
}

/** Ways lighter than this are not asked: no dip that anybody would look for lifts them. */
const NEGLIGIBLE = 1e-4;

/** A probe of readings at the places of a design, one value for each. */
export function probeOf(design: Design, values: readonly number[]): Probe {
  const { layout, prior, ways } = design;
  const centre = prior.level ?? values.reduce((sum, value) => sum + value, 0) / values.length;
  const off = columnOf(values, (value) => value - centre);
  const inverses = inversesOf(design);
  const pulls = inverses.map((inverse) => times(inverse, off));
  const fits = ways.map(({ logWeight }, i) => logWeight - dot(off, pulls[i]!) / 2);
  const best = Math.max(...fits);
  const raw = fits.map((fit) => Math.exp(fit - best));
  const total = raw.reduce((sum, each) => sum + each, 0);
  const all = ways.map(({ made }, i) => ({
    made,
    weight: raw[i]! / total,
    inverse: inverses[i]!,
    pull: pulls[i]!,
  }));
  return { ats: layout.ats, centre, ways: all.filter(({ weight }) => weight >= NEGLIGIBLE) };
}

/** How much likelier one way makes the readings when a dip took these drops off them. */
function likelier({ inverse, pull }: ProbedWay, size: number, { first, second, byFirst, bySecond }: Drops): number {
  const linear = byFirst * pull[first]! + bySecond * pull[second]!;
  const square =
    byFirst * byFirst * inverse[first * size + first]! +
    2 * byFirst * bySecond * inverse[first * size + second]! +
    bySecond * bySecond * inverse[second * size + second]!;
  return Math.exp(-linear - square / 2);
}

/** How many times likelier the readings are with a dip than without it: the ratio of two normal densities, over all ways the profile may be made. */
export function timesLikelier({ ats, ways }: Probe, drops: Drops): number {
  if (drops.byFirst === 0 && drops.bySecond === 0) return 1;
  let sum = 0;
  for (const way of ways) sum += way.weight * likelier(way, ats.length, drops);
  return sum;
}

/**
 * The smooth profile at a place, once what a dip took off the readings is given back: normal, in one of the ways it may be made.
 * @param share which way, 0…1, by how likely each is then
 */
export function smoothUnder(
  { ats, centre, ways }: Probe,
  drops: Drops,
  at: number,
  share: number,
): { readonly mean: number; readonly variance: number } {
  const weights = ways.map((way) => way.weight * likelier(way, ats.length, drops));
  let left = share * weights.reduce((sum, each) => sum + each, 0);
  const found = weights.findIndex((weight) => (left -= weight) < 0);
  const { made, inverse, pull } = ways[found < 0 ? ways.length - 1 : found]!;
  const across = columnOf(ats, (other) => covarianceAt(made, Math.abs(other - at)));
  const solved = times(inverse, across);
  const given = drops.byFirst * solved[drops.first]! + drops.bySecond * solved[drops.second]!;
  return {
    mean: centre + dot(across, pull) + given,
    variance: Math.max(0, covarianceAt(made, 0) - dot(across, solved)),
  };
}
