import { group, recorded, someOf } from '../reading';

/** Putting the parts back on, in working order. */
const REFIT_ACTS = [
  'tensioner-back',
  'other-edge-down',
  'cutters-forward',
  'pin-in-hole',
  'nuts-finger-tight',
  'tension',
  'nuts-evenly',
  'runs-by-hand',
  'oil-flies',
] as const;

/** Refitting is asked for when a whole saw came; single parts go home as they are. */
export const refitReadings = group(
  {
    done: someOf(REFIT_ACTS, {
      means: 'Acts of putting the parts back on that were done.',
      acts: { askedBy: ['whole-saw'] },
      idle: recorded,
    }),
  },
  { step: 'refit', minutes: 0.5 },
);
