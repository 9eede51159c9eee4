/** Terms and steps until nothing changes any more. */
const MOST_STEPS = 500;
const ENOUGH = 1e-15;

/** Logarithm of the gamma function (Lanczos' series, g = 7, n = 9). */
function lnGamma(x: number): number {
  const series = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const at = x - 1;
  const sum = series.reduce((total, term, i) => (i === 0 ? term : total + term / (at + i)), 0);
  const base = at + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (at + 0.5) * Math.log(base) - base + Math.log(sum);
}

/**
 * Share of a χ² of so many degrees of freedom that is at or below x: the incomplete gamma function (Abramowitz & Stegun
 * 6.5.29, 6.5.31, 26.4.19).
 */
function chiSquareCdf(x: number, degrees: number): number {
  if (x <= 0) return 0;
  const [a, half] = [degrees / 2, x / 2];
  const front = Math.exp(a * Math.log(half) - half - lnGamma(a));
  if (half < a + 1) {
    let [term, sum] = [1 / a, 1 / a];
    for (let n = 1; n < MOST_STEPS && term > ENOUGH * sum; n += 1) {
      term *= half / (a + n);
      sum += term;
    }
    return front * sum;
  }
  // The continued fraction of the other tail, from its far end (Lentz).
  let b = half + 1 - a;
  let c = 1 / Number.MIN_VALUE ** 0.5;
  let d = 1 / b;
  let fraction = d;
  for (let n = 1; n < MOST_STEPS; n += 1) {
    const step = -n * (n - a);
    b += 2;
    d = 1 / (step * d + b);
    c = b + step / c;
    fraction *= d * c;
    if (Math.abs(d * c - 1) < ENOUGH) break;
  }
  return 1 - front * fraction;
}

/**
 * The value that a χ² of so many degrees of freedom stays below with a probability: what bounds a standard deviation
 * known from few readings.
 * @param probability above 0 and below 1
 * @param degrees degrees of freedom, at least 1
 * @example chiSquareQuantile(0.975, 99) // 128.422 (NIST/SEMATECH e-Handbook 1.3.5.8, from memory)
 */
export function chiSquareQuantile(probability: number, degrees: number): number {
  let lo = 0;
  let hi = Math.max(1, degrees);
  while (chiSquareCdf(hi, degrees) < probability) hi *= 2;
  while (hi - lo > 1e-12 * hi) {
    const middle = (lo + hi) / 2;
    if (middle === lo || middle === hi) break;
    if (chiSquareCdf(middle, degrees) < probability) lo = middle;
    else hi = middle;
  }
  return (lo + hi) / 2;
}
