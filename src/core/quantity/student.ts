/** Halvings until the quantile stands to the last digit that a double holds. */
const HALVINGS = 200;

/**
 * Share of Student's t with so many degrees of freedom that lies between −t and t: the finite sums of Abramowitz &
 * Stegun 26.7.3 and 26.7.4.
 */
function shareWithin(t: number, degrees: number): number {
  const theta = Math.atan(t / Math.sqrt(degrees));
  const cos2 = Math.cos(theta) ** 2;
  const odd = degrees % 2 === 1;
  const terms = Math.floor((degrees - (odd ? 1 : 0)) / 2);
  let term = odd ? Math.cos(theta) : 1;
  let sum = terms > 0 ? term : 0;
  for (let k = 1; k < terms; k += 1) {
    term *= (cos2 * (odd ? 2 * k : 2 * k - 1)) / (odd ? 2 * k + 1 : 2 * k);
    sum += term;
  }
  return odd ? (2 / Math.PI) * (theta + Math.sin(theta) * sum) : Math.sin(theta) * sum;
}

/**
 * The value that Student's t stays within, on both sides of 0, with a probability: what bounds a mean or a slope known
 * from few readings.
 * @param within probability, above 0 and below 1
 * @param degrees degrees of freedom, a whole number from 1
 * @example studentWithin(0.95, 10) // 2.228 (table of JCGM 100:2008, G.2, from memory)
 */
export function studentWithin(within: number, degrees: number): number {
  let [low, high] = [0, 1];
  while (shareWithin(high, degrees) < within) high *= 2;
  for (let i = 0; i < HALVINGS && low < high; i += 1) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) break;
    if (shareWithin(middle, degrees) < within) low = middle;
    else high = middle;
  }
  return high;
}
