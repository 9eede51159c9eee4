import { flatMap } from '../flat-map';
import type { PairSighting, Sighting } from '../belief';
import { ownUncertainty, type Estimate, type InstrumentId } from '../quantity';
import { step, type Station } from './station';

/** Where only one rail was measured, the other is thought to lie this near, mm. */
const OTHER_RAIL = 0.1;

/** The variance that a reading has for itself; of another tool also that tool's own error. */
export function ownVariance(reading: Estimate, common: InstrumentId | null): number {
  return reading.tool === common ? ownUncertainty(reading) ** 2 : reading.u ** 2;
}

export function depthSighting({ at, near, far }: Station, common: InstrumentId | null): Sighting | null {
  if (near && far)
    return {
      at,
      value: (near.value + far.value) / 2,
      variance: (ownVariance(near, common) + ownVariance(far, common)) / 4,
    };
  const one = near ?? far;
  return one && { at, value: one.value, variance: ownVariance(one, common) + OTHER_RAIL ** 2 / 4 };
}

/** What a station's depths say of its step. */
function stepSighting(station: Station): Sighting | null {
  const measured = step(station);
  return measured && { at: station.at, value: measured.value, variance: measured.u ** 2 };
}

/** Steps along an edge as they were measured. */
export const stepSightings = (stations: readonly Station[]): readonly Sighting[] =>
  flatMap(stations, (station) => stepSighting(station) ?? []);

/** Variances this near count as alike. */
const ALIKE = 0.8;

/**
 * Whether both rails of a station were read, and alike: then their mean and their difference tell nothing of each
 * other.
 */
export function isReadAlike({ near, far }: Station, common: InstrumentId | null): boolean {
  if (!near || !far) return false;
  const [a, b] = [ownVariance(near, common), ownVariance(far, common)];
  return Math.min(a, b) >= ALIKE * Math.max(a, b);
}

/** Every depth of an edge, each as so much of the mean and so much of the step. */
export function pairSightings(sorted: readonly Station[], common: InstrumentId | null): readonly PairSighting[] {
  const rail = (at: number, reading: Estimate | null, second: number): readonly PairSighting[] =>
    reading ? [{ at, first: 1, second, value: reading.value, variance: ownVariance(reading, common) }] : [];
  return flatMap(sorted, (station) => [
    ...rail(station.at, station.near, 1 / 2),
    ...rail(station.at, station.far, -1 / 2),
  ]);
}
