import { goesWith, group, length, limit, oneOf, recorded, seen, someOf, words, type Work, evidence } from '../reading';
import { EDGES } from './edges';
import { noseChecks, noseReadings } from './nose';
import { edgeReadings } from './stations';

/** Work on a bar, in working order: straight before level, level before deburring, clean last of all. */
export const BAR_WORK = {
  'clean-rust': { cleans: true, shows: true },
  'clean-oil-holes': { cleans: true, shows: true },
  'rake-groove': { cleans: true, shows: true },
  straighten: {},
  'ease-pinch': { shows: true },
  'dress-rails': { metal: true },
  deburr: { shows: true },
  'close-rails': { metal: true },
  'free-nose': { cleans: true, shows: true },
  're-nose': { shows: true },
  'grease-nose': { service: true },
  'turn-over': { service: true },
} as const satisfies Record<string, Work>;
type BarOperation = keyof typeof BAR_WORK;
export const BAR_OPERATIONS = Object.keys(BAR_WORK) as readonly BarOperation[];

/** Work on the nose: it is ticked off with the bar's. */
export const NOSE_OPERATIONS: readonly BarOperation[] = ['free-nose', 're-nose', 'grease-nose'];

/** What is seen of a bar without a tool, each word with what it means; and the bow. */
const checks = group(
  {
    crack: seen(
      { no: 'ok', yes: 'fail', unsure: 'undecided' },
      { check: 'bar.crack', condemns: true, always: true, minutes: 1, decides: 0.03, needed: { by: ['bar'] } },
    ),
    slot: seen({ ok: 'ok', worn: 'watch', wallowed: 'fail' }, { check: 'bar.slot', condemns: true, always: true }),
    bow: length(
      { kind: 'smallDefect', instrument: 'feeler' },
      {
        means: 'Largest gap under a straight edge along the side.',
        minutes: 1,
        decides: 0.06,
        needed: { by: ['bar'] },
        judged: {
          check: 'bar.bow',
          most: limit(0.5, 'mm', 'practice'),
          watch: { straighten: limit(0.25, 'mm', 'shop') },
          condemns: true,
          always: true,
          together: true,
          work: { operation: 'straighten', from: 'watch' },
        },
      },
    ),
    twist: seen({ none: 'ok', slight: ['watch', 'straighten'], plain: 'fail' }, { check: 'bar.twist', condemns: true }),
    holes: seen(
      { ok: 'ok', worn: 'watch', torn: 'fail' },
      { check: 'bar.holes', condemns: true, means: 'Tensioner hole.' },
    ),
    oilHoles: seen({ clear: 'ok', blocked: ['fail', 'clean-oil-holes'] }, { check: 'bar.oil-holes', always: true }),
    groove: seen({ clean: 'ok', packed: ['fail', 'rake-groove'] }, { check: 'bar.groove', always: true }),
    blueing: seen({ no: 'ok', light: 'watch', heavy: 'watch' }, { check: 'bar.blueing', always: true }),
    dents: seen({ none: 'ok', light: 'ok', deep: 'watch' }, { check: 'bar.dents' }),
    tailErosion: seen(
      { none: 'ok', slight: 'watch', deep: 'watch' },
      { check: 'bar.tail', means: 'Where a slack chain hammers the tail.' },
    ),
    ruts: seen(
      { none: 'ok', slight: 'watch', deep: ['fail', 'dress-rails'] },
      { check: 'bar.ruts', means: 'Secondary ruts worn into the rail tops.' },
    ),
    railLine: seen(
      { even: 'ok', low: 'watch' },
      {
        check: 'bar.rail-line',
        means: 'Rule laid along the rail tops against the light: none under it, or light at a place.',
      },
    ),
    grooveShape: seen(
      { even: 'ok', pinched: ['fail', 'ease-pinch'], splayed: ['fail', 'dress-rails'] },
      { check: 'bar.groove-shape', together: true },
    ),
    rust: seen(
      { none: 'ok', surface: ['fail', 'clean-rust'], pitted: ['fail', 'dress-rails'] },
      { check: 'bar.rust', means: 'Surface rust is cleaned off; pitted rail tops are dressed. Rust condemns nothing.' },
    ),
    resin: seen(
      { none: 'ok', soft: 'ok', baked: 'watch' },
      { check: 'bar.resin', means: 'Baked resin means that it ran hot.', step: 'clean' },
    ),
    barePaint: oneOf(['seen'], { means: 'Recorded, and means nothing.', idle: recorded }),
    ...noseChecks,
    straightEdge: seen(
      { 'gap-stays': 'ok', 'gap-closes': 'fail', 'passes-beyond': 'fail' },
      {
        check: 'bar.straight-edge',
        condemns: true,
        always: true,
        together: true,
        decides: 0.1,
        means: 'Rule against bar side and cutter, cutter pushed over.',
      },
    ),
  },
  { view: 'look' },
);

/** What can be said of the bar. */
export const barReadings = group(
  {
    stamp: evidence(
      words(200, {
        means: 'As punched near the tail.',
        step: 'identify',
        view: 'marks',
        idle: goesWith('bar.pitch', 'bar.gauge'),
      }),
    ),
    edgeDown: oneOf(EDGES, {
      means: 'The edge that was down on the saw as it came.',
      step: 'strip',
      idle: goesWith('saw.turnLog'),
    }),
    edgeDownNow: oneOf(EDGES, {
      means: 'The edge that is down as it goes back.',
      step: 'rework',
      idle: recorded,
    }),
    construction: oneOf(['laminated', 'solid'], { idle: recorded }),
    ...noseReadings,
    mount: words(40),
    oilHole: words(40, { means: "The shop's name for the oil-hole pattern." }),
    groove: evidence(
      length(
        { kind: 'grooveWidth', instrument: 'caliper', goNoGo: 'tab' },
        {
          means: 'Groove width near the floor at a little-worn place, by caliper or by tabs.',
          step: 'identify',
          view: 'gauge',
        },
      ),
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
