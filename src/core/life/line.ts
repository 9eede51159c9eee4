import { chiSquareQuantile } from '../quantity';
import { factorise, solveLower } from '../belief';

/** One look at something that wears. */
export interface Look {
  readonly value: number;
  /** Standard uncertainty of the value, above 0, in its unit. */
  readonly u: number;
  /** Running hours since the look before, 0 or more; of the first look they do not count. */
  readonly gap: number;
  /** Standard uncertainty of those hours. */
  readonly gapU: number;
}

/** A rate with its doubt: change an hour, of what falls below 0. */
export interface Rate {
  readonly value: number;
  readonly u: number;
}

/** A straight line through looks. Hours are counted from the last look, which is at 0. */
export interface WearLine {
  /** At the last look. */
  readonly now: { readonly value: number; readonly u: number };
  readonly rate: Rate;
  /** Covariance of the two. */
  readonly covariance: number;
  /** How far the looks lie off the line: χ² and its degrees of freedom; below 1 there is nothing to tell. */
  readonly misfit: { readonly chiSquare: number; readonly degrees: number };
}

/** Looks that lie off a line by more than this share of all lines would are a sign that it is not that sure. */
const SELDOM = 0.95;

/** Covariance of the looks about a line of this rate: each its own doubt, and the hours between them theirs. */
function covarianceOf(looks: readonly Look[], rate: number): Float64Array {
  const size = looks.length;
  // Hours are counted back from the last look: what is not known of a gap moves every look before it.
  const back = looks.map(() => 0);
  for (let i = size - 2; i >= 0; i -= 1) back[i] = back[i + 1]! + looks[i + 1]!.gapU ** 2;
  const all = new Float64Array(size * size);
  for (let i = 0; i < size; i += 1)
    for (let j = 0; j <= i; j += 1) {
      const shared = rate ** 2 * back[i]!;
      const own = i === j ? looks[i]!.u ** 2 : 0;
      all[i * size + j] = all[j * size + i] = shared + own;
    }
  return all;
}

const dot = (one: Float64Array, other: Float64Array): number => one.reduce((sum, each, i) => sum + each * other[i]!, 0);

/** The line of least squares where looks have this covariance; precisions of the prior and of the looks add. */
function fitted(looks: readonly Look[], prior: Rate | null, rate: number): WearLine {
  const size = looks.length;
  const hours = looks.map(() => 0);
  for (let i = size - 2; i >= 0; i -= 1) hours[i] = hours[i + 1]! - looks[i + 1]!.gap;
  const factor = factorise(covarianceOf(looks, rate), size);
  const white = (column: readonly number[]) => solveLower(factor, size, Float64Array.from(column));
  const [ones, x, y] = [white(looks.map(() => 1)), white(hours), white(looks.map(({ value }) => value))];
  const weight = prior ? 1 / prior.u ** 2 : 0;
  const [n, sx, sxx] = [dot(ones, ones), dot(ones, x), dot(x, x) + weight];
  const [sy, sxy] = [dot(ones, y), dot(x, y) + weight * (prior?.value ?? 0)];
  const determinant = n * sxx - sx ** 2;
  const [now, slope] = [(sxx * sy - sx * sxy) / determinant, (n * sxy - sx * sy) / determinant];
  const off = y.map((each, i) => each - now * ones[i]! - slope * x[i]!);
  return {
    now: { value: now, u: Math.sqrt(sxx / determinant) },
    rate: { value: slope, u: Math.sqrt(n / determinant) },
    covariance: -sx / determinant,
    misfit: { chiSquare: dot(off, off), degrees: size - 2 },
  };
}

/** A line whose looks lie further off it than their doubt allows is as unsure as they show (Birge's ratio). */
function asSureAsItLies(line: WearLine): WearLine {
  const { chiSquare, degrees } = line.misfit;
  if (degrees < 1 || chiSquare <= chiSquareQuantile(SELDOM, degrees)) return line;
  const ratio = Math.sqrt(chiSquare / degrees);
  return {
    ...line,
    now: { ...line.now, u: line.now.u * ratio },
    rate: { ...line.rate, u: line.rate.u * ratio },
    covariance: line.covariance * ratio ** 2,
  };
}

/**
 * The line of wear through looks: generalised least squares with doubt in the values and in the hours between them (by
 * effective variance, at the rate that comes of it), and a prior of the rate whose precision adds. Where the line is at
 * an hour has no prior.
 *
 * @param looks in their order, at least one; at least two, hours apart, where there is no prior
 * @param prior what such pieces lose or gain an hour; null where nothing is known of them
 * @example three looks 8.0, 7.6, 7.3 mm at 0, 40, 80 h, each ± 0.07, prior −0.010 ± 0.004 → rate −0.00886 ± 0.00118 mm/h
 * @see model.md §15; without doubt in hours and prior it is ordinary weighted regression
 */
export function wearLine(looks: readonly Look[], prior: Rate | null): WearLine {
  let line = fitted(looks, prior, prior?.value ?? 0);
  // Each turn takes the doubt of the hours at the rate of the turn before; it stands still after a few.
  for (let turn = 0; turn < TURNS; turn += 1) line = fitted(looks, prior, line.rate.value);
  return asSureAsItLies(line);
}
const TURNS = 3;

/**
 * The same line from where a piece stands after work on it: the work took something off, and the line goes on from
 * there at the same rate.
 */
export const goingOnFrom = (line: WearLine, now: WearLine['now']): WearLine => ({ ...line, now, covariance: 0 });

/** Where a line is so many hours after the last look, with its standard uncertainty. */
export function lineAt({ now, rate, covariance }: WearLine, hours: number): WearLine['now'] {
  const variance = now.u ** 2 + 2 * hours * covariance + (hours * rate.u) ** 2;
  return { value: now.value + rate.value * hours, u: Math.sqrt(Math.max(0, variance)) };
}
