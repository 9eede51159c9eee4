import { BAR_CLEANING, BAR_OPERATIONS } from '../bar/readings';

/** What to do with a part. */
export const ACTIONS = ['keep', 'clean', 'recondition', 'replace', 'undecided'] as const;
export type Action = (typeof ACTIONS)[number];

/** Named work on a part, in working order: clean before judging, level before deburring. */
export const OPERATIONS = [
  ...BAR_OPERATIONS,
  'file-back',
  'even-cutters',
  'file-tangs',
  'dress-straps',
  'free-tight-joints',
  'free-bearing',
] as const;
/** Work that is only cleaning: with nothing else to do the verdict is `clean`. */
export const CLEANING: readonly Operation[] = [...BAR_CLEANING, 'free-bearing'];
export type Operation = (typeof OPERATIONS)[number];
