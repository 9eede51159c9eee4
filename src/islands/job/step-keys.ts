import type { Step } from '../../core/reading';

/** The key that leads to each step: digits for the first ten that there were, so that nobody learns them anew, letters for those that came later. */
export const STEP_KEYS: Readonly<Record<Step, string>> = {
  'take-in': '1',
  strip: '2',
  identify: '3',
  clean: '4',
  bar: '5',
  chain: '6',
  sprocket: '7',
  why: 'y',
  decide: '8',
  rework: '9',
  order: '0',
  refit: 'f',
  prove: 'p',
  'hand-over': 'h',
};
