import { flatMap } from '../flat-map';
import { columnOf, factorise, solveLower, type Matrix } from './matrix';
import { correlation, type Make } from './profile';

/**
 * One reading of two profiles at once: so much of the first and so much of the second, and the variance that it has for
 * itself, mm².
 */
export interface PairSighting {
  readonly at: number;
  readonly first: number;
  readonly second: number;
  readonly value: number;
  readonly variance: number;
}

/** Two ways of being made that go together, with their weight before anything was read. */
export interface PairMake {
  readonly first: Make;
  readonly second: Make;
  readonly weight: number;
}

/** What is believed of two profiles together: first all places of the one, then of the other. */
export interface PairComponent {
  readonly weight: number;
  readonly mean: Float64Array;
  /** Cholesky factor of their common covariance. */
  readonly factor: Matrix;
}

const covarianceOf = ({ levelSpread, scale }: Make, distance: number): number =>
  levelSpread ** 2 + scale ** 2 * correlation(distance);

/** Lower triangle of the covariance of the readings. */
function between(sightings: readonly PairSighting[], { first, second }: PairMake): Matrix {
  const n = sightings.length;
  const matrix = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const a = sightings[i]!;
    for (let j = 0; j <= i; j += 1) {
      const b = sightings[j]!;
      const apart = Math.abs(a.at - b.at);
      matrix[i * n + j] =
        a.first * b.first * covarianceOf(first, apart) + a.second * b.second * covarianceOf(second, apart);
    }
    matrix[i * n + i] = matrix[i * n + i]! + a.variance;
  }
  return matrix;
}

/** Predicts both profiles at all places from one fit. */
function predict(
  sightings: readonly PairSighting[],
  places: readonly number[],
  make: PairMake,
  factor: Matrix,
  residual: Float64Array,
  centre: number,
): Omit<PairComponent, 'weight'> {
  const [n, size] = [sightings.length, places.length];
  const solved: Float64Array[] = [];
  const mean = new Float64Array(2 * size);
  const covariance = new Float64Array(4 * size * size);
  for (let k = 0; k < 2 * size; k += 1) {
    const isFirst = k < size;
    const at = places[k % size]!;
    const own = isFirst ? make.first : make.second;
    const column = columnOf(sightings, (each) => {
      return (isFirst ? each.first : each.second) * covarianceOf(own, Math.abs(each.at - at));
    });
    solveLower(factor, n, column);
    solved.push(column);
    let expected = isFirst ? centre : 0;
    for (let i = 0; i < n; i += 1) expected += column[i]! * residual[i]!;
    mean[k] = expected;
    for (let l = 0; l <= k; l += 1) {
      const isAlike = l < size === isFirst;
      const prior = isAlike ? covarianceOf(own, Math.abs(places[l % size]! - at)) : 0;
      const other = solved[l]!;
      let rest = prior;
      for (let i = 0; i < n; i += 1) rest -= column[i]! * other[i]!;
      covariance[k * 2 * size + l] = rest;
    }
  }
  return { mean, factor: factorise(covariance, 2 * size) };
}

/**
 * What is believed of two profiles that are read together, where their readings cannot be taken apart: the rails of an
 * edge read with two tools, or one of them alone. It is the same Gaussian process as for one profile, with twice the
 * places.
 * @param centre the usual level of the first; that of the second is nothing
 */
export function pairBelief(
  sightings: readonly PairSighting[],
  places: readonly number[],
  makes: readonly PairMake[],
  centre: number,
): readonly PairComponent[] {
  const fits = makes.map((make) => {
    const n = sightings.length;
    const factor = factorise(between(sightings, make), n);
    const values = columnOf(sightings, ({ value, first }) => value - first * centre);
    const residual = solveLower(factor, n, values);
    let fitness = Math.log(make.weight);
    for (let i = 0; i < n; i += 1) fitness -= Math.log(factor[i * n + i]!) + (residual[i]! * residual[i]!) / 2;
    return { make, factor, residual, fitness };
  });
  const best = Math.max(...fits.map(({ fitness }) => fitness));
  const shares = fits.map(({ fitness }) => Math.exp(fitness - best));
  const all = shares.reduce((sum, each) => sum + each, 0);
  const kept = shares.map((share) => (share / all >= NEGLIGIBLE ? share : 0));
  const left = kept.reduce((sum, each) => sum + each, 0);
  return flatMap(fits, ({ make, factor, residual }, i) =>
    kept[i]! > 0 ? [{ weight: kept[i]! / left, ...predict(sightings, places, make, factor, residual, centre) }] : [],
  );
}

/** Components lighter than this are dropped. */
const NEGLIGIBLE = 0.03;
