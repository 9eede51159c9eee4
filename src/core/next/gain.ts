import { quadrature, normalCdf, normalPdf } from '../quantity';

/**
 * Expected drop in the chance of a wrong call on a limit if one more reading with standard uncertainty v is taken
 * (preposterior analysis of a normal mean; the expectation over where the mean would move is summed over 120 steps).
 * @param margin distance from the limit, either sign
 * @param u present standard uncertainty, above zero
 * @param v standard uncertainty of what the reading to come has for itself, above zero
 * @param shared what the two have in common, the tool's own error: no repeat with the same tool takes it off
 * @returns 0…0.5
 */
export function gainOfRepeat(margin: number, u: number, v: number, shared = 0): number {
  const now = normalCdf(-Math.abs(margin) / u);
  const own = Math.sqrt(Math.max(0, u * u - shared * shared));
  const spread = own === 0 ? 0 : (own * own) / quadrature(own, v);
  const posterior = Math.sqrt(Math.max(0, u * u - spread * spread));
  if (spread === 0 || posterior === 0) return spread === 0 ? 0 : now;
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
