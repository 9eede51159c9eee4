import { normalCdf, normalPdf } from '../quantity';

const STEPS = 60;
const REACH = 5;

/**
 * How far one more reading moves what is believed, standard deviation, in the unit of the value: nothing where the
 * tool's own error is all that is left.
 */
export function movedBy(u: number, v: number, shared = 0): number {
  const own = Math.sqrt(Math.max(0, u * u - shared * shared));
  return own === 0 ? 0 : (own * own) / Math.hypot(own, v);
}

const left = (u: number, spread: number): number => Math.sqrt(Math.max(0, u * u - spread * spread));

/**
 * Expected drop in the chance of a wrong call on a limit by a reading that moves what is believed by so much
 * (preposterior analysis of a normal mean; the expectation over where the mean would move is summed over steps).
 * @param margin distance from the limit, either sign
 * @param u present standard uncertainty, above zero
 * @param spread of where the mean would move
 * @returns 0…0.5
 */
export function gainOfMove(margin: number, u: number, spread: number): number {
  const now = normalCdf(-Math.abs(margin) / u);
  const posterior = left(u, spread);
  if (spread === 0 || posterior === 0) return spread === 0 ? 0 : now;
  let after = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    const z = -REACH + (2 * REACH * i) / STEPS;
    const weight = normalPdf(z) * ((2 * REACH) / STEPS);
    after += weight * normalCdf(-Math.abs(margin + spread * z) / posterior);
  }
  return Math.max(0, now - after);
}

/**
 * The same of one more reading with standard uncertainty v.
 * @param v standard uncertainty of what the reading to come has for itself, above zero
 * @param shared what the two have in common, the tool's own error: no repeat with the same tool takes it off
 */
export const gainOfRepeat = (margin: number, u: number, v: number, shared = 0): number =>
  gainOfMove(margin, u, movedBy(u, v, shared));

/** Standard uncertainties from a limit at which a call is sure enough: 95 of 100. */
const SURE = 1.645;

/**
 * Chance that such a reading settles the call, one way or the other.
 * @param margin distance from the limit
 * @param spread of where the mean would move, above zero
 */
export function settleChance(margin: number, u: number, spread: number): number {
  if (spread === 0) return 0;
  const need = SURE * left(u, spread);
  return 1 - normalCdf((need - margin) / spread) + normalCdf((-need - margin) / spread);
}
