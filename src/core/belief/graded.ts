import { normalCdf, normalPdf, type Bounds } from '../quantity';

/**
 * How an eye or a hand grades something that could be measured: from how much on it says each word but the first, and
 * how much that wavers.
 */
export interface Grades<W extends string> {
  /** The words, the least first. */
  readonly words: readonly [W, ...W[]];
  /** Where each word but the first begins. */
  readonly from: readonly number[];
  readonly spread: number;
}

/** One answer in so many is a blunder, shared alike over all words (shop's figure, model §18). */
const BLUNDER = 0.03;

/** How likely something of a size is graded so: `P = 0.97·p + 0.03/n`, p by normal thresholds. */
export function chanceOfGrade<W extends string>({ words, from, spread }: Grades<W>, word: W, value: number): number {
  const i = words.indexOf(word);
  const above = (k: number) => (k < 0 ? 1 : k >= from.length ? 0 : normalCdf((value - from[k]!) / spread));
  return (1 - BLUNDER) * (above(i - 1) - above(i)) + BLUNDER / words.length;
}

/** What is thought of something before it is graded: weights over values. */
export interface Weighed {
  readonly values: Float64Array;
  readonly weights: Float64Array;
}

const POINTS = 241;

/** Evenly anywhere between two values. */
export function evenlyOver(lo: number, hi: number): Weighed {
  const values = Float64Array.from({ length: POINTS }, (_, i) => lo + ((hi - lo) * (i + 0.5)) / POINTS);
  return { values, weights: new Float64Array(POINTS).fill(1 / POINTS) };
}

/** Standard uncertainties that a measured value is looked at within. */
const REACH = 6;

/** What a measurement leaves, where it holds the value from both sides; null where one mark alone is known. */
export function weighedBy({ lo, hi }: Bounds): Weighed | null {
  if (!lo || !hi) return null;
  if (lo.between) return evenlyOver(...lo.between);
  const { value, u } = lo;
  if (u === 0) return { values: Float64Array.of(value), weights: Float64Array.of(1) };
  const values = Float64Array.from({ length: POINTS }, (_, i) => value + u * REACH * ((2 * i) / (POINTS - 1) - 1));
  const weights = values.map((at) => normalPdf((at - value) / u));
  const all = weights.reduce((sum, each) => sum + each, 0);
  return { values, weights: weights.map((each) => each / all) };
}

/** The same, once something of it was graded; and how likely that grade was before. */
export function gradedAs<W extends string>(
  { values, weights }: Weighed,
  grades: Grades<W>,
  word: W,
): Weighed & { readonly expected: number } {
  const raw = weights.map((weight, i) => weight * chanceOfGrade(grades, word, values[i]!));
  const expected = raw.reduce((sum, each) => sum + each, 0);
  return { values, weights: raw.map((each) => each / expected), expected };
}

/** Chance that the value is at most a limit. */
export function atMost({ values, weights }: Weighed, limit: number): number {
  let sum = 0;
  for (let i = 0; i < values.length; i += 1) if (values[i]! <= limit) sum += weights[i]!;
  return Math.min(1, sum);
}

/** A grade less likely than this by what was measured contradicts it. */
export const CONTRADICTS_BELOW = 0.08;
