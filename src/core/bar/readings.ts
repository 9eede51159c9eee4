import { goesWith, group, length, oneOf, recorded, someOf, words } from '../reading';
import { noseChecks, noseReadings } from '../nose/readings';
import { edgeReadings } from './station-readings';

/** Work on a bar, in working order: straight before level, level before deburring, clean last of all. */
export const BAR_OPERATIONS = [
  'clean-oil-holes',
  'rake-groove',
  'straighten',
  'ease-pinch',
  'dress-rails',
  'deburr',
  'close-rails',
  'free-nose',
  're-nose',
  'grease-nose',
  'turn-over',
] as const;

/** Observations that need no tool, each with its words; and the bow. */
const checks = group(
  {
    crack: oneOf(['no', 'yes', 'unsure'], { minutes: 1, needed: { by: ['bar'] } }),
    bow: length(
      { kind: 'smallDefect', instrument: 'feeler' },
      { means: 'Largest gap under a straight edge along the side.', minutes: 1, needed: { by: ['bar'] } },
    ),
    blueing: oneOf(['no', 'light', 'heavy']),
    resin: oneOf(['none', 'soft', 'baked'], { means: 'Baked resin means that it ran hot.', step: 'clean' }),
    twist: oneOf(['none', 'slight', 'plain']),
    dents: oneOf(['none', 'light', 'deep']),
    barePaint: oneOf(['seen'], { means: 'Recorded, and means nothing.', idle: recorded }),
    holes: oneOf(['ok', 'worn', 'torn'], { means: 'Tensioner hole.' }),
    tailErosion: oneOf(['none', 'slight', 'deep'], { means: 'Where a slack chain hammers the tail.' }),
    ruts: oneOf(['none', 'slight', 'deep'], { means: 'Secondary ruts worn into the rail tops.' }),
    grooveShape: oneOf(['even', 'pinched', 'splayed']),
    ...noseChecks,
    slot: oneOf(['ok', 'worn', 'wallowed']),
    oilHoles: oneOf(['clear', 'blocked']),
    groove: oneOf(['clean', 'packed']),
    straightEdge: oneOf(['gap-stays', 'gap-closes', 'passes-beyond'], {
      means: 'Rule against bar side and cutter, cutter pushed over.',
    }),
  },
  { view: 'look' },
);

const EDGE = ['A', 'B'] as const;

/** What can be said of the bar. */
export const barReadings = group(
  {
    stamp: words(200, {
      means: 'As punched near the tail.',
      step: 'identify',
      view: 'marks',
      idle: goesWith('bar.pitch', 'bar.gauge'),
    }),
    edgeDown: oneOf(EDGE, {
      means: 'The edge that was down on the saw as it came.',
      step: 'strip',
      idle: goesWith('saw.turnLog'),
    }),
    edgeDownNow: oneOf(EDGE, {
      means: 'The edge that is down as it goes back.',
      step: 'rework',
      idle: recorded,
    }),
    construction: oneOf(['laminated', 'solid'], { idle: recorded }),
    ...noseReadings,
    mount: words(40),
    oilHole: words(40, { means: "The shop's name for the oil-hole pattern." }),
    groove: length(
      { kind: 'grooveWidth', instrument: 'caliper', goNoGo: 'tab' },
      {
        means: 'Groove width near the floor at a little-worn place, by caliper or by tabs.',
        step: 'identify',
        view: 'gauge',
      },
    ),
    listedLength: length(
      { kind: 'barLength', instrument: 'rule' },
      { means: 'As sold or as the customer calls it.', step: 'identify', view: 'loop' },
    ),
    thickness: length(
      { kind: 'barThickness', instrument: 'caliper' },
      { idle: goesWith('chain.kerf', 'chain.tipHeight', 'bar.edges.mouth') },
    ),
    bodyHeight: length({ kind: 'bodyHeight', instrument: 'caliper' }, { idle: goesWith('bar.edges.depth') }),
    effectiveLength: length(
      { kind: 'barLength', instrument: 'rule' },
      { means: 'Front of the side cover to the tip, chain tensioned.', step: 'identify', view: 'loop' },
    ),
    reach: length(
      { kind: 'barLength', instrument: 'rule' },
      { means: 'True cutting length: furthest part of case or spikes to the tip.', step: 'identify', view: 'loop' },
    ),
    overallLength: length(
      { kind: 'barLength', instrument: 'rule' },
      { means: 'Tail to tip, off the saw: the measure that stations run along.', idle: goesWith('bar.edges.depth') },
    ),
    reworkDone: someOf(BAR_OPERATIONS, { step: 'rework', idle: recorded }),
    checks,
    edges: group({ A: edgeReadings(), B: edgeReadings() }),
  },
  { step: 'bar', view: 'look', minutes: 0.5 },
);
