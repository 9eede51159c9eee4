import { goesWith, group, length, recorded, someOf } from '../reading';

/**
 * Putting the parts back on, in working order. Whether oil flies is proved with the saw running; sheets of before tick
 * it off here.
 */
export const REFIT_ACTS = [
  'tensioner-back',
  'other-edge-down',
  'port-clear',
  'cutters-forward',
  'pin-in-hole',
  'nuts-finger-tight',
  'tension',
  'nuts-evenly',
  'runs-by-hand',
  'tension-again',
  'oil-flies',
] as const;
export type RefitAct = (typeof REFIT_ACTS)[number];

/** Refitting is asked for when a whole saw came; single parts go home as they are. */
export const refitReadings = group(
  {
    done: someOf(REFIT_ACTS, {
      means: 'Acts of putting the parts back on that were done.',
      idle: recorded,
    }),
    lift: length(
      { kind: 'lift', instrument: 'rule' },
      {
        means: 'How far the tensioned chain lifts off the bar at mid-bar, pulled up by hand.',
        idle: goesWith('chain.pitch'),
      },
    ),
  },
  { step: 'refit', minutes: 0.5 },
);
