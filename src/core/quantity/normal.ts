const SERIES_TERMS = 200;
const SERIES_BELOW = 2.5;
const FRACTION_DEPTH = 80;

/** erf by its Maclaurin series, good to rounding for |x| below 2.5 (Abramowitz & Stegun 7.1.5). */
function erfSeries(x: number): number {
  let term = x;
  let sum = x;
  for (let n = 1; n < SERIES_TERMS; n += 1) {
    term *= -(x * x) / n;
    const next = term / (2 * n + 1);
    sum += next;
    if (Math.abs(next) < 1e-17 * Math.abs(sum)) break;
  }
  return (2 / Math.sqrt(Math.PI)) * sum;
}

/** erfc by its continued fraction, for x of 2.5 and more (Abramowitz & Stegun 7.1.14). */
function erfcFraction(x: number): number {
  let tail = x;
  for (let k = FRACTION_DEPTH; k > 0; k -= 1) tail = x + k / 2 / tail;
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / tail;
}

/**
 * Standard normal cumulative probability Φ(z), to about 1e-14.
 * @param z any number, infinities included
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const upperTail = x < SERIES_BELOW ? (1 - erfSeries(x)) / 2 : erfcFraction(x) / 2;
  return z >= 0 ? 1 - upperTail : upperTail;
}

/** Beyond so many standard uncertainties nothing is left of a normal. */
const NOTHING_LEFT = 8;

/**
 * The chance that a normal about a margin is at or above nothing; far from it there is nothing to work out. With no
 * uncertainty it is a step, and the limit itself is good.
 * @param margin what lies between the value and its limit, on the good side above 0
 * @param u standard uncertainty of the value, 0 or more, in the same unit
 */
export function chanceAbove(margin: number, u: number): number {
  if (Math.abs(margin) > NOTHING_LEFT * u) return margin >= 0 ? 1 : 0;
  return u === 0 ? 1 : normalCdf(margin / u);
}

/** Standard normal density φ(z). */
export function normalPdf(z: number): number {
  return Math.exp(-(z * z) / 2) / Math.sqrt(2 * Math.PI);
}
