import { BAR_OPERATIONS, BAR_WORK } from '../bar/readings';

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
export type Operation = (typeof OPERATIONS)[number];

const barWorkThat = (is: 'cleans' | 'shows'): readonly Operation[] =>
  BAR_OPERATIONS.filter((operation) => is in BAR_WORK[operation]);

/** Work that is only cleaning: with nothing else to do the verdict is `clean`. */
export const CLEANING: readonly Operation[] = [...barWorkThat('cleans'), 'free-bearing'];

/** Work that shows by itself that it is done; all other work is done when its reading says so. */
export const SEEN_TO_BE_DONE = barWorkThat('shows');
