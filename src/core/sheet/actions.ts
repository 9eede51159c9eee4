import { BAR_OPERATIONS } from '../bar/readings';
import { PARTS, type Part } from '../reading';

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

export { PARTS, type Part };
