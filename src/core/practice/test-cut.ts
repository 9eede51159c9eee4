import { flatMap } from '../flat-map';
import type { ReadingId } from '../sheet';
import type { Symptom } from '../symptom';
import { drawn } from './draw';
import { faultOf, type FaultId } from './faults';
import type { Truth } from './truth';

/** How deep a test cut goes, mm. */
const DEPTH = 300;

/** How far a cut of that depth comes off its line, mm, where a fault draws it aside and where none does (shop's figures). */
const DRAWN_ASIDE = [8, 14] as const;
const STRAIGHT = [0, 1.5] as const;

/** What makes a chain throw dust. */
const DUSTY: readonly FaultId[] = ['cutters-dull', 'gauges-high'];

/** Readings of a test cut. */
export const CUT_PATHS = ['proof.cut.depth', 'proof.cut.drift', 'proof.cut.side'] as const;

/** What a test cut shows: lengths in mm, and words. */
export interface TestCut {
  readonly lengths: Readonly<Partial<Record<ReadingId, number>>>;
  readonly words: Readonly<Partial<Record<ReadingId, string>>>;
}

/** The side that a customer says their cuts go to. */
const SAID = { 'cuts-curved-left': 'left', 'cuts-curved-right': 'right' } as const satisfies Partial<
  Record<Symptom, string>
>;

const isCrooked = (complaint: Symptom | null): complaint is keyof typeof SAID =>
  complaint !== null && Object.hasOwn(SAID, complaint);

/** The test cut of a set: it is drawn to where its faults draw, and as its customer says; it throws what its cutters throw, and oils as its bar does. */
export function testCut({ recipe, shape, faults, complaint }: Truth): TestCut {
  const [toward] = flatMap(faults, (id) => faultOf(id).toward?.(shape) ?? []);
  const side = toward ?? (isCrooked(complaint) ? SAID[complaint] : null);
  const [lo, hi] = side ? DRAWN_ASIDE : STRAIGHT;
  return {
    lengths: { 'proof.cut.depth': DEPTH, 'proof.cut.drift': drawn(recipe.seed, 'test cut').between(lo, hi) },
    words: {
      'proof.cut.side': side ?? 'none',
      'proof.idle': faults.includes('turns-at-idle') ? 'turns' : 'stands',
      'proof.oil': faults.includes('oil-blocked') ? 'none' : 'flies',
      'proof.swarf': faults.some((id) => DUSTY.includes(id)) ? 'dust' : 'chips',
    },
  };
}
