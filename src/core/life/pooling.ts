import { studentWithin } from '../quantity';

/** A figure of one piece or one act, with its standard uncertainty. */
export interface Known {
  readonly value: number;
  /** Above 0. */
  readonly u: number;
}

/** What a shop's own records say of a figure. */
export interface Pooled {
  /** How many pieces or acts tell of it; at least two. */
  readonly count: number;
  /** The mean of all such, and its standard uncertainty. */
  readonly mean: number;
  readonly u: number;
  /** How far one of them lies from another, beside its doubt: a standard deviation. */
  readonly spread: number;
  /** The mean lies between, eight times in ten. */
  readonly from: number;
  readonly until: number;
}

const IN_TEN = 0.8;

/**
 * What pieces that differ, each known with its own doubt, have in common: random effects, by the moment estimator. Few
 * bound little: the interval is by Student's t, and no narrower than the scatter of the pieces themselves makes it.
 * @returns null of fewer than two
 * @example pooled([0.008, 0.010, 0.014].map((value) => ({ value, u: 0.001 }))) // mean 0.01067, spread 0.00289
 * @see model.md §15; DerSimonian and Laird 1986, Controlled Clinical Trials 7, 177; Hartung and Knapp 2001 (from memory)
 */
export function pooled(known: readonly Known[]): Pooled | null {
  const count = known.length;
  if (count < 2) return null;
  const fixed = known.map(({ u }) => 1 / u ** 2);
  const [sum, sumOfSquares] = [total(fixed), total(fixed.map((w) => w * w))];
  const plain = weighted(known, fixed);
  const q = total(known.map(({ value }, i) => fixed[i]! * (value - plain) ** 2));
  const between = Math.max(0, (q - (count - 1)) / (sum - sumOfSquares / sum));
  const weights = known.map(({ u }) => 1 / (u ** 2 + between));
  const mean = weighted(known, weights);
  const byDoubt = 1 / total(weights);
  const byScatter =
    total(known.map(({ value }, i) => weights[i]! * (value - mean) ** 2)) / ((count - 1) * total(weights));
  const u = Math.sqrt(Math.max(byDoubt, byScatter));
  const reach = studentWithin(IN_TEN, count - 1) * u;
  return { count, mean, u, spread: Math.sqrt(between), from: mean - reach, until: mean + reach };
}

const total = (numbers: readonly number[]): number => numbers.reduce((sum, each) => sum + each, 0);

const weighted = (known: readonly Known[], weights: readonly number[]): number =>
  total(known.map(({ value }, i) => value * weights[i]!)) / total(weights);
