import { FAMILIES, type FamilyId } from '../families';
import type { Mm } from '../quantity';
import type { CUTTER_SHAPES, FILINGS } from '../declared';

/** What the chain is cut with: across the grain, or along it. */
export type Cut = 'cross-cut' | 'ripping';
export type Filing = (typeof FILINGS)[number];
export type CutterShape = (typeof CUTTER_SHAPES)[number];

/** Values to begin with where the maker gives none (from memory of handbooks, page not at hand). */
export interface StartValues {
  readonly filing: Filing;
  /** Diameter of the round file; null where no round file is used. */
  readonly file: Mm | null;
  /** Degrees from square, seen from above. */
  readonly topPlate: number;
  /** Degrees of the side plate's edge to the chain. */
  readonly sidePlate: number;
  /** Degrees that the file is tilted up toward its tip. */
  readonly tilt: number;
}

const ANGLES: Readonly<Record<Filing, Readonly<Record<Cut, Pick<StartValues, 'topPlate' | 'sidePlate' | 'tilt'>>>>> = {
  round: {
    'cross-cut': { topPlate: 30, sidePlate: 75, tilt: 0 },
    ripping: { topPlate: 10, sidePlate: 80, tilt: 0 },
  },
  square: {
    'cross-cut': { topPlate: 20, sidePlate: 75, tilt: 45 },
    ripping: { topPlate: 10, sidePlate: 80, tilt: 45 },
  },
  ground: {
    'cross-cut': { topPlate: 25, sidePlate: 75, tilt: 0 },
    ripping: { topPlate: 10, sidePlate: 80, tilt: 0 },
  },
};

/**
 * How a chain is brought back to an edge: as it is said to be; carbide is ground whatever is said, anything else filed
 * round.
 */
export const filingOf = (said: Filing | undefined, shape: CutterShape | undefined): Filing =>
  shape === 'carbide' ? 'ground' : (said ?? 'round');

/** Start values for filing a chain; the file is null where the family is not known. */
export function startValues(family: FamilyId | null, filing: Filing, cut: Cut): StartValues {
  const file = filing === 'round' && family ? FAMILIES[family].file : null;
  return { filing, file, ...ANGLES[filing][cut] };
}
