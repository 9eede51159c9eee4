import { normalCdf, normalPdf } from '../quantity';
import type { Sighting } from './profile';

/** Chance that a reading stands in a dip that its neighbours do not see (shop's figure, tried on simulated bars). */
export const DIP_CHANCE = 0.001;
/** Usual depth of such a dip, mm (shop's figure). */
export const DIP_DEPTH = 0.2;

/**
 * Chance that a reading stands in a dip of its own: a spike or nothing, weighed by how far it lies below what all the
 * other readings say of its place. A narrow dip is else smoothed away by many good neighbours. Depths of dips are
 * exponential, so the reading is an exponentially modified normal there.
 *
 * @param sighting the reading with its own variance
 * @param mean what is believed at its place, itself included
 * @param variance of that belief
 */
export function dipChance(sighting: Sighting, mean: number, variance: number): number {
  const own = sighting.variance;
  // The belief without this reading: its share is taken out again.
  const precision = 1 / variance - 1 / own;
  if (precision <= 1 / NOTHING_KNOWN) return 0;
  const others = (mean / variance - sighting.value / own) / precision;
  const spread = Math.sqrt(1 / precision + own);
  const below = sighting.value - others;
  if (below >= 0) return 0;
  const level = normalPdf(below / spread) / spread;
  const tilt = below / DIP_DEPTH + spread ** 2 / (2 * DIP_DEPTH ** 2);
  const dipped = (Math.exp(tilt) * normalCdf(-below / spread - spread / DIP_DEPTH)) / DIP_DEPTH;
  const odds = (DIP_CHANCE * dipped) / ((1 - DIP_CHANCE) * level + Number.MIN_VALUE);
  return odds / (1 + odds);
}

/** A variance beyond this says that no other reading speaks of the place, mm². */
const NOTHING_KNOWN = 1;
