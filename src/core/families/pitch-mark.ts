import { FAMILY_IDS } from './family';

/** Pitch as it stands on a part: a family, or 3/8 where the build is not said. */
export const PITCH_MARKS = [...FAMILY_IDS, '3/8'] as const;
export type PitchMark = (typeof PITCH_MARKS)[number];
