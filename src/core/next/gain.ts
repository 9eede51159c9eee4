import { quadrature, normalCdf, normalPdf } from '../quantity';

/**
 * Expected drop in the chance of a wrong call on a limit if one more independent reading with standard uncertainty v is taken
 * (preposterior analysis of a normal mean; the expectation over where the mean would move is summed over 120 steps).
 * @param margin distance from the limit, either sign
 * @param u present standard uncertainty, above zero
 * @param v standard uncertainty of the reading to come, above zero
 * @returns 0…0.5
 */
export function gainOfRepeat(margin: number, u: number, v: number): number {
  const now = normalCdf(-Math.abs(margin) / u);
  const posterior = (u * v) / quadrature(u, v);
  const spread = (u * u) / quadrature(u, v);
  const STEPS = 120;
  const REACH = 6;
  let after = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    const z = -REACH + (2 * REACH * i) / STEPS;
    const weight = normalPdf(z) * ((2 * REACH) / STEPS);
    after += weight * normalCdf(-Math.abs(margin + spread * z) / posterior);
  }
  return Math.max(0, now - after);
}
