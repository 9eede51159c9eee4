import type { Estimate } from '../quantity';
import type { EdgeSheet } from '../sheet';
import type { Edge, Station } from './station';

/** A clean bar stood on its edge on a flat surface: it stands, or falls to a side. */
export type Stands = NonNullable<EdgeSheet['stands']>;

/** What a level test says of the step `near − far` where it was made, as a reading with its own power: value and standard deviation, mm. */
export interface StepSaid {
  readonly value: number;
  readonly u: number;
}

/**
 * What each level test can show of a step (shop's figures). Light under a square is seen from a few hundredths, and says which rail is high but not by how much;
 * a guided file bridges a step below 0.05 mm; a bar on its edge averages the whole edge.
 */
export const LEVEL_TEST_POWER = {
  square: { level: { value: 0, u: 0.04 }, unlevel: { value: 0.17, u: 0.09 } },
  marker: { level: { value: 0, u: 0.05 }, unlevel: { value: 0.14, u: 0.09 } },
  stands: { level: { value: 0, u: 0.06 }, unlevel: { value: 0.16, u: 0.09 } },
} as const;

const signed = ({ value, u }: StepSaid, high: 'near' | 'far'): StepSaid => ({
  value: high === 'near' ? value : -value,
  u,
});

/** What the square says of the step; null where it was not used. */
export function squareSays({ square }: Pick<Station, 'square'>): StepSaid | null {
  if (square === null) return null;
  const { level, unlevel } = LEVEL_TEST_POWER.square;
  return square === 'level' ? level : signed(unlevel, square === 'near-high' ? 'near' : 'far');
}

/** What one guided pass over the marker says of the step: a rail that alone was touched is the high one. A pass that touched neither says nothing. */
export function markerSaysStep({ marker }: Pick<Station, 'marker'>): StepSaid | null {
  if (marker === null || marker === 'none') return null;
  const { level, unlevel } = LEVEL_TEST_POWER.marker;
  return marker === 'both' ? level : signed(unlevel, marker);
}

/** What the bar stood on its edge says of the edge's mean step: it falls to the side of its low rail. */
export function standsSays(stands: Stands | null): StepSaid | null {
  if (stands === null) return null;
  const { level, unlevel } = LEVEL_TEST_POWER.stands;
  return stands === 'yes' ? level : signed(unlevel, stands === 'near' ? 'far' : 'near');
}

/** A measured step and a test that disagree by more than both can explain are a mistake, and no evidence. */
const DISAGREES_BEYOND = 2.5;

/** Whether a test contradicts the step as it was measured. Without a measured step nothing is contradicted. */
export function contradictsStep(said: StepSaid, measured: Estimate | null): boolean {
  if (!measured) return false;
  const apart = Math.abs(said.value - measured.value);
  // A test of an unlevel edge names the side only: a larger step of that side agrees with it.
  const sameSide = said.value !== 0 && Math.sign(said.value) === Math.sign(measured.value);
  return !sameSide && apart > DISAGREES_BEYOND * Math.hypot(said.u, measured.u);
}

/**
 * Whether a test and the measured step say the same; null where one of them is missing, or the step is too small for the test to show its side.
 */
export function testDisagrees(said: StepSaid | null, measured: Estimate | null): boolean | null {
  if (!said || !measured) return null;
  if (contradictsStep(said, measured)) return true;
  const seen = Math.abs(measured.value) > Math.max(TEST_BLIND_BELOW, 2 * measured.u);
  return said.value === 0 || seen ? false : null;
}

/** A guided file bridges a step below this, and an eye may miss it, mm (common practice, no source). */
export const TEST_BLIND_BELOW = 0.05;

/** The level tests of an edge as an edge carries them. */
export type EdgeStands = Readonly<Record<Edge, Stands | null>>;
