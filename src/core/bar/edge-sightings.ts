import { flatMap } from '../flat-map';
import type { PairSighting, Sighting } from '../belief';
import { mm, ownUncertainty, type Estimate, type InstrumentId } from '../quantity';
import { contradictsStep, markerSaysStep, squareSays, standsSays, type EdgeStands, type StepSaid } from './level-tests';
import { step, type Edge, type Station } from './station';

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

/** Readings of one place as one, each by its precision. */
function asOne(at: number, said: readonly StepSaid[]): Sighting | null {
  const precision = said.reduce((sum, { u }) => sum + 1 / u ** 2, 0);
  if (precision === 0) return null;
  return {
    at,
    value: said.reduce((sum, { value, u }) => sum + value / u ** 2, 0) / precision,
    variance: 1 / precision,
  };
}

/** The level tests of a station that its measured step does not contradict. */
function testsOf(station: Station): readonly StepSaid[] {
  const measured = step(station);
  return flatMap([squareSays(station), markerSaysStep(station)], (said) =>
    said && !contradictsStep(said, measured) ? [said] : [],
  );
}

/** What a station says of its step: as measured, and by the tests that do not contradict that. */
function stepSighting(station: Station): Sighting | null {
  const measured = step(station);
  const tests = testsOf(station);
  return asOne(station.at, measured ? [{ value: measured.value, u: measured.u }, ...tests] : tests);
}

/** The mean step as measured, or null. */
function meanOf(sightings: readonly Sighting[]): Estimate | null {
  if (sightings.length === 0) return null;
  const precision = sightings.reduce((sum, { variance }) => sum + 1 / variance, 0);
  const value = sightings.reduce((sum, each) => sum + each.value / each.variance, 0) / precision;
  return { value: mm(value), u: Math.sqrt(1 / precision) };
}

/** Steps along an edge, and the edge stood up as one more reading in its middle. */
export function stepSightings(stations: readonly Station[], stands: EdgeStands[Edge]): readonly Sighting[] {
  const found = flatMap(stations, (station) => stepSighting(station) ?? []);
  const said = standsSays(stands);
  if (!said || stations.length === 0 || contradictsStep(said, meanOf(found))) return found;
  const middle = (stations[0]!.at + stations.at(-1)!.at) / 2;
  return [...found, { at: middle, value: said.value, variance: said.u ** 2 }];
}

/** Variances this near count as alike. */
const ALIKE = 0.8;

/** Whether both rails of a station were read, and alike: then their mean and their difference tell nothing of each other. */
export function isReadAlike({ near, far }: Station, common: InstrumentId | null): boolean {
  if (!near || !far) return false;
  const [a, b] = [ownVariance(near, common), ownVariance(far, common)];
  return Math.min(a, b) >= ALIKE * Math.max(a, b);
}

/** Everything that was read of an edge, each as so much of the mean and so much of the step. */
export function pairSightings(
  sorted: readonly Station[],
  stands: EdgeStands[Edge],
  common: InstrumentId | null,
): readonly PairSighting[] {
  const rail = (at: number, reading: Estimate | null, second: number): readonly PairSighting[] =>
    reading ? [{ at, first: 1, second, value: reading.value, variance: ownVariance(reading, common) }] : [];
  const said = (at: number, { value, u }: StepSaid): PairSighting => ({
    at,
    first: 0,
    second: 1,
    value,
    variance: u ** 2,
  });
  const whole = standsSays(stands);
  const steps = flatMap(sorted, (station) => stepSighting(station) ?? []);
  const middle = (sorted[0]!.at + sorted.at(-1)!.at) / 2;
  return [
    ...flatMap(sorted, (station) => [
      ...rail(station.at, station.near, 1 / 2),
      ...rail(station.at, station.far, -1 / 2),
      ...testsOf(station).map((test) => said(station.at, test)),
    ]),
    ...(whole && !contradictsStep(whole, meanOf(steps)) ? [said(middle, whole)] : []),
  ];
}
