import { factorise, solveLower, type Matrix } from './matrix';
import { normalPoints, pointsOf } from './normal-points';

/** One way something may be: normal at all places. */
export interface NormalWay {
  readonly weight: number;
  readonly mean: Float64Array;
  /** Cholesky factor of the covariance. */
  readonly factor: Matrix;
}

/** A value that was asked about by hand: a sum over the places, and what the answers say of it. */
export interface AskedValue {
  /** So much of each place. */
  readonly of: Float64Array;
  /** For each answer, how likely it is at a value. */
  readonly answers: readonly ((value: number) => number)[];
  /** A normal reading that says about the same as all answers: it guides where draws are made, and weighs nothing. */
  readonly guide: { readonly value: number; readonly variance: number };
}

/** What answers leave of a belief: equally likely draws of all places, one after the other. */
export interface Answered {
  readonly paths: Float64Array;
  /** For each value asked about and each answer, how likely it was by everything but itself. */
  readonly expected: readonly (readonly number[])[];
  /** How many independent draws the weighed ones are worth. */
  readonly effective: number;
}

/** Draws of the values asked about, and the share of them that the guide makes (tried on simulated bars, model §18). */
const TRIED = 2048;
const GUIDED = 0.6;
/** Fractions of irrational numbers, which never fall into step. */
const SPREADS = [0.6180339887498949, 0.7548776662466927] as const;
/** A number without a factor in common with any number of draws: resampled draws stand in no order. */
const STRIDE = 89;

/** One way, seen at the values asked about: as believed, and with the guide's reading. */
interface Seen {
  readonly way: NormalWay;
  readonly mean: Float64Array;
  readonly factor: Matrix;
  /** Covariance of all places with the values. */
  readonly across: Float64Array;
  readonly guidedMean: Float64Array;
  readonly guidedFactor: Matrix;
  /** How well the guide's reading fits this way, before it is scaled: density of it. */
  readonly fit: number;
}

function seenAt(way: NormalWay, asked: readonly AskedValue[]): Seen {
  const { mean, factor } = way;
  const [size, k] = [mean.length, asked.length];
  const lifted = asked.map(({ of }) => {
    const column = new Float64Array(size);
    for (let i = 0; i < size; i += 1) {
      const weight = of[i]!;
      if (weight !== 0) for (let l = 0; l <= i; l += 1) column[l] = column[l]! + weight * factor[i * size + l]!;
    }
    return column;
  });
  const dot = (a: Float64Array, b: Float64Array): number => {
    let sum = 0;
    for (let i = 0; i < size; i += 1) sum += a[i]! * b[i]!;
    return sum;
  };
  const covariance = new Float64Array(k * k);
  for (let i = 0; i < k; i += 1)
    for (let j = 0; j < k; j += 1) covariance[i * k + j] = dot(lifted[i]!, lifted[j]!) + (i === j ? JITTER : 0);
  const across = new Float64Array(size * k);
  for (let i = 0; i < size; i += 1)
    for (let j = 0; j < k; j += 1) {
      let sum = 0;
      for (let l = 0; l <= i; l += 1) sum += factor[i * size + l]! * lifted[j]![l]!;
      across[i * k + j] = sum;
    }
  const centre = Float64Array.from(asked, ({ of }) => dot(of, mean));
  const spread = covariance.slice();
  asked.forEach(({ guide }, i) => (spread[i * k + i] = spread[i * k + i]! + guide.variance));
  factorise(spread, k);
  const off = solveLower(
    spread,
    k,
    Float64Array.from(asked, ({ guide }, i) => guide.value - centre[i]!),
  );
  let log = 0;
  for (let i = 0; i < k; i += 1) log -= Math.log(spread[i * k + i]!) + off[i]! ** 2 / 2;
  // `L⁻¹·K`, column by column: what the guide's reading takes off the covariance.
  const taken = asked.map((_, j) =>
    solveLower(
      spread,
      k,
      Float64Array.from(asked, (__, i) => covariance[i * k + j]!),
    ),
  );
  const guidedMean = centre.slice();
  const left = covariance.slice();
  for (let i = 0; i < k; i += 1) {
    for (let l = 0; l < k; l += 1) guidedMean[i] = guidedMean[i]! + taken[i]![l]! * off[l]!;
    for (let j = 0; j < k; j += 1) {
      let sum = 0;
      for (let l = 0; l < k; l += 1) sum += taken[i]![l]! * taken[j]![l]!;
      left[i * k + j] = left[i * k + j]! - sum + (i === j ? JITTER : 0);
    }
  }
  return {
    way,
    mean: centre,
    factor: factorise(covariance, k),
    across,
    guidedMean,
    guidedFactor: factorise(left, k),
    fit: Math.exp(log - (k / 2) * Math.log(2 * Math.PI)),
  };
}

/** What keeps a covariance from being singular, mm². */
const JITTER = 1e-9;

/** The number of the share that a number from 0 up to 1 falls to. */
function fallsTo(shares: Float64Array, at: number): number {
  let sum = 0;
  for (let i = 0; i < shares.length; i += 1) {
    sum += shares[i]!;
    if (at < sum) return i;
  }
  return shares.length - 1;
}

/** Shares of a whole. */
function sharesOf(parts: readonly number[]): Float64Array {
  const all = parts.reduce((sum, part) => sum + part, 0);
  return Float64Array.from(parts, (part) => (all > 0 ? part / all : 1 / parts.length));
}

/** The values asked about as they were tried, with the way each was drawn from, and its weight. */
interface Tried {
  readonly values: Float64Array;
  readonly from: Uint8Array;
  readonly weights: Float64Array;
  readonly chances: readonly (readonly Float64Array[])[];
}

/**
 * Draws the values asked about: two of a pair with their signs turned, from the belief or from where the guide points.
 */
function drawValues(
  seen: readonly Seen[],
  k: number,
  guided: Float64Array,
  unguided: Float64Array,
): Pick<Tried, 'values' | 'from'> {
  const points = pointsOf(TRIED / 2, k);
  const [values, from] = [new Float64Array(TRIED * k), new Uint8Array(TRIED)];
  for (let pair = 0; pair < TRIED / 2; pair += 1) {
    const isGuided = ((pair + 0.5) * SPREADS[0]) % 1 < GUIDED;
    const which = fallsTo(isGuided ? guided : unguided, ((pair + 0.5) * SPREADS[1]) % 1);
    const { mean, factor, guidedMean, guidedFactor } = seen[which]!;
    const [centre, lower] = isGuided ? [guidedMean, guidedFactor] : [mean, factor];
    const [up, down] = [2 * pair * k, (2 * pair + 1) * k];
    for (let a = 0; a < k; a += 1) {
      let off = 0;
      for (let l = 0; l <= a; l += 1) off += lower[a * k + l]! * points[pair * k + l]!;
      values[up + a] = centre[a]! + off;
      values[down + a] = centre[a]! - off;
    }
    from[2 * pair] = which;
    from[2 * pair + 1] = which;
  }
  return { values, from };
}

function tryValues(seen: readonly Seen[], asked: readonly AskedValue[]): Tried {
  const k = asked.length;
  const unguided = sharesOf(seen.map(({ way }) => way.weight));
  const fits = seen.map(({ fit }, i) => unguided[i]! * fit);
  const whole = fits.reduce((sum, fit) => sum + fit, 0);
  const { values, from } = drawValues(seen, k, sharesOf(fits), unguided);
  const likely = new Float64Array(TRIED).fill(1);
  const exponent = new Float64Array(TRIED);
  let scale = 1;
  // Value by value, so that each loop asks one answer alone: this is the innermost work of a tested edge.
  const chances = asked.map(({ answers, guide }, a) => {
    scale /= Math.sqrt(2 * Math.PI * guide.variance);
    for (let i = 0; i < TRIED; i += 1)
      exponent[i] = exponent[i]! - (values[i * k + a]! - guide.value) ** 2 / (2 * guide.variance);
    return answers.map((answer) => {
      const chance = new Float64Array(TRIED);
      for (let i = 0; i < TRIED; i += 1) {
        chance[i] = answer(values[i * k + a]!);
        likely[i] = likely[i]! * chance[i]!;
      }
      return chance;
    });
  });
  const weights = likely.map((chance, i) => {
    const guide = whole > 0 ? (scale * Math.exp(exponent[i]!)) / whole : 0;
    return chance / (1 - GUIDED + GUIDED * guide);
  });
  return { values, from, weights, chances };
}

/** How likely each answer was by everything but itself: the harmonic mean of its chance over the weighed draws. */
function expectedOf({ weights, chances }: Tried, total: number): Answered['expected'] {
  return chances.map((each) =>
    each.map((chance) => {
      let sum = 0;
      for (let i = 0; i < weights.length; i += 1) sum += weights[i]! / chance[i]!;
      return total / sum;
    }),
  );
}

/** Draws spread over the tried ones by their weight, in no order. */
function resampled({ weights }: Tried, total: number, draws: number): Uint16Array {
  const picked = new Uint16Array(draws);
  let [at, sum] = [0, weights[0]!];
  for (let d = 0; d < draws; d += 1) {
    const wanted = ((d + 0.5) * total) / draws;
    while (sum < wanted && at < weights.length - 1) sum += weights[++at]!;
    picked[(d * STRIDE) % draws] = at;
  }
  return picked;
}

/**
 * One draw of all places by a way, its values asked about drawn along to what they are to be (Matheron's rule; Journel
 * & Huijbregts, Mining Geostatistics, 1978, from memory).
 */
function fillIn(
  { way, factor: valueFactor, across }: Seen,
  asked: readonly AskedValue[],
  wanted: Float64Array,
  points: Float64Array,
  offset: number,
  sign: 1 | -1,
  into: Float64Array,
  off: Float64Array,
): void {
  const { mean, factor } = way;
  const [size, k] = [mean.length, asked.length];
  for (let i = 0; i < size; i += 1) {
    let value = mean[i]!;
    for (let l = 0; l <= i; l += 1) value += sign * factor[i * size + l]! * points[offset + l]!;
    into[i] = value;
  }
  for (let a = 0; a < k; a += 1) {
    const { of } = asked[a]!;
    let sum = wanted[a]!;
    for (let i = 0; i < size; i += 1) sum -= of[i]! * into[i]!;
    off[a] = sum;
  }
  solveLower(valueFactor, k, off);
  for (let a = k - 1; a >= 0; a -= 1) {
    let sum = off[a]!;
    for (let l = a + 1; l < k; l += 1) sum -= valueFactor[l * k + a]! * off[l]!;
    off[a] = sum / valueFactor[a * k + a]!;
  }
  for (let i = 0; i < size; i += 1) for (let a = 0; a < k; a += 1) into[i] = into[i]! + across[i * k + a]! * off[a]!;
}

/**
 * What answers that are no numbers leave of a normal belief: values are drawn at the places asked about, partly where
 * the answers point, weighed by how likely the answers are there, and drawn again by their weight; all other places are
 * filled in by the conditional normal (importance sampling with a defensive mixture: Hesterberg 1995, from memory).
 * @param ways the belief before, at all places
 * @param draws how many draws to give
 */
export function answered(ways: readonly NormalWay[], asked: readonly AskedValue[], draws: number): Answered {
  const size = ways[0]!.mean.length;
  const seen = ways.map((way) => seenAt(way, asked));
  const tried = tryValues(seen, asked);
  let [total, squares] = [0, 0];
  for (const weight of tried.weights) {
    total += weight;
    squares += weight * weight;
  }
  const picked = resampled(tried, total, draws);
  const points = normalPoints(2 * size);
  const paths = new Float64Array(draws * size);
  const k = asked.length;
  const off = new Float64Array(k);
  for (let d = 0; d < draws; d += 1) {
    const at = picked[d]!;
    const wanted = tried.values.subarray(at * k, (at + 1) * k);
    const into = paths.subarray(d * size, (d + 1) * size);
    const row = points[(d >> 2) % points.length]!;
    fillIn(seen[tried.from[at]!]!, asked, wanted, row, (d % 2) * size, d % 4 < 2 ? 1 : -1, into, off);
  }
  return { paths, expected: expectedOf(tried, total), effective: (total * total) / squares };
}
