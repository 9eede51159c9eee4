import { PITCH_MARKS } from '../families';
import { INSTRUMENT_IDS, PLACING_ON_RIVETS } from '../quantity';
import {
  count,
  figure,
  goesWith,
  group,
  length,
  limit,
  listOf,
  oneOf,
  recorded,
  seen,
  someOf,
  words,
  yesNo,
  measuredAgain,
  type Around,
  type IdleReason,
  type StepView,
  type Told,
  type Work,
  evidence,
  evidenceOfEach,
} from '../reading';

/**
 * Work on a chain, in working order: what catches first, then the cutters, then what follows from how far they went
 * back.
 */
export const CHAIN_WORK = {
  'free-tight-joints': { shows: true },
  'file-tangs': { shows: true },
  'dress-straps': { shows: true },
  'file-back': { metal: true },
  'grind-back': { metal: true },
  'correct-angles': { metal: true, files: true },
  'correct-undercut': { shows: true, metal: true },
  'even-cutters': { metal: true, files: true },
  sharpen: { shows: true, metal: true, files: true },
  'lower-gauges': { metal: true, files: true },
  'file-to-gauges': { metal: true, files: true },
} as const satisfies Record<string, Work>;

export const CHAIN_OPERATIONS = Object.keys(CHAIN_WORK) as readonly (keyof typeof CHAIN_WORK)[];

const cutterLength = () => length({ kind: 'cutter', instrument: 'caliper' });
const gaugeHeight = () => length({ kind: 'gaugeHeight', instrument: 'feeler' }, { minutes: 0.3 });
const pushPull = () => length({ kind: 'push', instrument: 'tape' });
const degrees = () =>
  figure(
    { from: 0, to: 80 },
    {
      means: 'Degrees, as seen from above: 0 is square to the chain.',
      view: 'shape',
      idle: goesWith('chain.topPlateWidth'),
    },
  );

/** How the cutters are built. Carbide is ground and never filed. */
export const CUTTER_SHAPES = ['full-chisel', 'semi-chisel', 'carbide'] as const;

/** How the cutters are brought back to an edge. */
export const FILINGS = ['round', 'square', 'ground'] as const;

/** Room for so many cutters of a side. */
const MOST_CUTTERS = 200;

/** What may be wrong with a cutter so that it must be filed back. */
export const DAMAGE_KINDS = ['chip', 'flat', 'burnt', 'angle'] as const;

/** Where damage of a cutter sits: at the working corner, or away from it. */
export const DAMAGE_PLACES = ['corner', 'behind'] as const;

/** The second measurement, after the rework, stands in the place of the first. */
const takenAgain =
  (list: 'cuttersLeft' | 'cuttersRight') =>
  ({ group: chain }: Around): IdleReason | null => {
    const after = chain.after as Readonly<Partial<Record<typeof list, readonly unknown[]>>> | undefined;
    return after?.[list]?.length ? measuredAgain : null;
  };

/** A stretch of joints pushed together and pulled apart. */
const pushAndPull = (told: Told) =>
  group(
    { joints: count({ from: 1, to: 800 }), closed: pushPull(), pulled: pushPull() },
    { minutes: 2, view: 'push', ...told },
    ['joints', 'closed', 'pulled'],
  );

/** Told of what is read to identify the chain: its view. */
const identify = (view: StepView<'identify'>) => ({ step: 'identify', view }) as const;

/** Readings that tell what the chain is. */
const identifying = {
  stamp: evidence(words(200, { ...identify('marks'), idle: goesWith('chain.pitch', 'chain.gauge') })),
  span: evidence(
    group(
      {
        rivets: count(
          { from: 2, to: 400 },
          { means: 'Rivets counted, both ends included: 11 rivets span 10 pitches.' },
        ),
        length: length({ kind: 'span', instrument: 'caliper', placing: PLACING_ON_RIVETS }),
        instrument: oneOf(INSTRUMENT_IDS),
      },
      { ...identify('pitch'), idle: goesWith('chain.pitch') },
      ['rivets', 'length'],
    ),
  ),
  template: evidence(
    someOf(PITCH_MARKS, { means: 'Templates whose cut-outs centre on the rivets.', ...identify('pitch') }, 6),
  ),
  chassis: evidence(
    oneOf(['small', 'large'], {
      means: 'Cutter and link compared side by side with a known chain.',
      ...identify('pitch'),
    }),
  ),
  fileSize: evidence(
    length({ kind: 'file', instrument: 'caliper' }, { means: 'Round file that was used on it.', ...identify('pitch') }),
  ),
  driveLinkThickness: evidence(length({ kind: 'thickness', instrument: 'caliper', goNoGo: 'slot' }, identify('gauge'))),
  driveLinks: evidenceOfEach(
    ['0', '1', '2', '3', '4'],
    listOf(count({ from: 1, to: 400 }), 20, {
      means: 'Recounts, in the order they were made.',
      minutes: 1.5,
      ...identify('links'),
    }),
  ),
  cutters: evidence(
    count(
      { from: 1, to: 200 },
      { minutes: 3, ...identify('links'), idle: goesWith('chain.sequence', 'chain.driveLinks') },
    ),
  ),
  loopLength: evidence(
    length(
      { kind: 'loop', instrument: 'tape' },
      { means: 'Once round at the rivet line, chain pulled straight.', minutes: 2, ...identify('links') },
    ),
  ),
};

/** Readings that tell how far it is worn. */
const worn = {
  tang: length(
    { kind: 'tang', instrument: 'caliper' },
    {
      means: 'Length of the drive link below the straps.',
      view: 'shape',
      idle: goesWith('bar.edges.depth', 'bar.edges.mouth'),
    },
  ),
  kerf: length(
    { kind: 'kerf', instrument: 'caliper' },
    { view: 'shape', idle: goesWith('chain.tipHeight', 'bar.thickness', 'bar.edges.mouth') },
  ),
  tipHeight: length(
    { kind: 'kerf', instrument: 'caliper' },
    {
      means: 'Cutter tip above the middle of the engaged tang.',
      view: 'shape',
      idle: goesWith('chain.kerf', 'bar.thickness', 'bar.edges.mouth'),
    },
  ),
  cuttersLeft: listOf(cutterLength(), MOST_CUTTERS, {
    minutes: 3,
    decides: 0.2,
    setUp: 'caliper',
    view: 'cutters',
    idle: takenAgain('cuttersLeft'),
    needed: { by: ['chain'], orElse: ['chain.cuttersRight'], enough: (there) => (there as unknown[]).length > 0 },
  }),
  cuttersRight: listOf(cutterLength(), MOST_CUTTERS, {
    minutes: 3,
    decides: 0.2,
    setUp: 'caliper',
    view: 'cutters',
    idle: takenAgain('cuttersRight'),
  }),
  damage: listOf(
    group(
      {
        side: oneOf(['left', 'right']),
        cutter: count({ from: 1, to: 400 }),
        kind: oneOf(DAMAGE_KINDS, { idle: goesWith('chain.damage', 'chain.topPlateAngleLeft') }),
        place: oneOf(DAMAGE_PLACES, {
          means: 'Where it sits: at the working corner, which filing the angle right takes off too, or behind it.',
          idle: goesWith('chain.damage', 'chain.topPlateAngleLeft'),
        }),
        setBack: cutterLength(),
      },
      {},
      ['side', 'cutter', 'setBack'],
    ),
    400,
    { view: 'cutters', idle: goesWith('chain.cuttersLeft') },
  ),
  witnessLimit: length(
    { kind: 'cutter', instrument: 'caliper' },
    { view: 'cutters', idle: goesWith('chain.cuttersLeft') },
  ),
  depthGaugesLeft: listOf(gaugeHeight(), MOST_CUTTERS, {
    means: "Heights of the depth gauges below their cutter's edge.",
    minutes: 1.5,
    view: 'shape',
    idle: goesWith('chain.pitch'),
  }),
  depthGaugesRight: listOf(gaugeHeight(), MOST_CUTTERS, { minutes: 1.5, view: 'shape', idle: goesWith('chain.pitch') }),
  gaugeSetting: length(
    { kind: 'gaugeHeight', instrument: 'feeler' },
    {
      means: 'Setting of the depth gauges as marked on them or named by the maker: it wins over the table.',
      view: 'shape',
      idle: goesWith('chain.depthGaugesLeft', 'chain.depthGaugesRight'),
    },
  ),
  topPlateWidth: length(
    { kind: 'topPlate', instrument: 'caliper' },
    { view: 'shape', idle: goesWith('chain.topPlateAngleLeft', 'chain.topPlateAngleRight') },
  ),
  topPlateAngleLeft: degrees(),
  topPlateAngleRight: degrees(),
  pushPull: pushAndPull({
    decides: 0.1,
    setUp: 'tape',
    needed: { by: ['chain'], orElse: ['chain.checks.feel'] },
    idle: goesWith('chain.pushPull'),
  }),
  newPushPull: pushAndPull({ means: 'The same of this chain when it was new.', idle: goesWith('chain.pushPull') }),
  checks: group(
    {
      crack: seen(
        { no: 'ok', yes: 'fail', unsure: 'undecided' },
        { check: 'chain.crack', condemns: true, always: true, minutes: 2, decides: 0.05, needed: { by: ['chain'] } },
      ),
      broken: seen(
        { no: 'ok', yes: 'fail' },
        { check: 'chain.broken', condemns: true, means: 'A link, strap or rivet that has given way.' },
      ),
      edge: seen(
        { sharp: 'ok', dull: ['fail', 'sharpen'] },
        { check: 'chain.edge', view: 'cutters', means: 'Working corners against the light: a dull one shines.' },
      ),
      undercut: seen(
        { right: 'ok', hooked: ['fail', 'correct-undercut'], blunt: ['fail', 'correct-undercut'] },
        {
          check: 'chain.undercut',
          view: 'shape',
          together: true,
          means:
            'Side plate under the edge: hooked by too small or too low a file, blunt by too large or too high a one.',
        },
      ),
      strapBurrs: seen({ none: 'ok', light: 'watch', heavy: ['fail', 'dress-straps'] }, { check: 'chain.straps' }),
      feel: seen(
        { tight: 'ok', some: 'watch', loose: 'undecided' },
        {
          check: 'chain.feel',
          condemns: true,
          together: true,
          view: 'push',
          means: 'Push and pull of a stretch felt by hand, without a tape: how much the joints give.',
        },
      ),
      resin: seen(
        { none: 'ok', soft: 'ok', baked: 'watch' },
        { check: 'chain.resin', means: 'Bright: it was sharp and oiled.', step: 'strip' },
      ),
      heat: seen(
        { none: 'ok', straw: 'watch', blue: 'watch' },
        { check: 'chain.heat', means: 'Colour that heat has left on straps and drive links.' },
      ),
      oilDimples: seen(
        { clear: 'ok', fading: 'watch', gone: 'watch' },
        { check: 'chain.oil-dimples', means: 'Dimples or holes in the links that carry the oil round.' },
      ),
      derailed: seen(
        { no: 'ok', yes: 'watch' },
        {
          check: 'chain.derailed',
          means: 'It came off while it ran: look at the groove, the chain catcher and the rear guard.',
        },
      ),
      burredTangs: count({ from: 0, to: 400 }),
      tangBurr: length(
        { kind: 'smallDefect', instrument: 'caliper' },
        {
          means: 'The worst burr on a tang: how far it stands out to one side.',
          idle: goesWith('chain.checks.burredTangs'),
          judged: {
            check: 'chain.tang-burr',
            most: limit(0.05, 'mm', 'practice'),
            work: { operation: 'file-tangs', from: 'fail' },
          },
        },
      ),
      tangWear: seen(
        { none: 'ok', rounded: 'watch', pointed: 'watch' },
        {
          check: 'chain.tang-wear',
          means: 'Tips of the tangs: rounded or ground to a point where they ran on the floor.',
        },
      ),
      tightJoints: count({ from: 0, to: 800 }),
    },
    { view: 'under' },
  ),
  reworkDone: someOf(CHAIN_OPERATIONS, { step: 'rework', view: 'chain', idle: recorded }),
  after: group(
    {
      cuttersLeft: listOf(cutterLength(), MOST_CUTTERS),
      cuttersRight: listOf(cutterLength(), MOST_CUTTERS),
      depthGaugesLeft: listOf(gaugeHeight(), MOST_CUTTERS, { idle: goesWith('chain.pitch') }),
      depthGaugesRight: listOf(gaugeHeight(), MOST_CUTTERS, { idle: goesWith('chain.pitch') }),
    },
    { means: 'The second measurement, after the rework.', step: 'rework', view: 'chain', minutes: 3 },
  ),
};

/** What can be said of the chain. */
export const chainReadings = group(
  {
    ...identifying,
    ...worn,
    kickbackClass: oneOf(['low-kickback', 'standard'], {
      ...identify('gauge'),
      idle: goesWith('job.operatorTrained'),
    }),
    bumperLinks: yesNo({
      means: 'Links or straps that shield the cutters: a mark of low-kickback chain.',
      view: 'shape',
      idle: goesWith('chain.kickbackClass', 'job.operatorTrained'),
    }),
    cutterShape: oneOf(CUTTER_SHAPES, { view: 'shape', idle: goesWith('chain.damage', 'chain.topPlateAngleLeft') }),
    filing: oneOf(FILINGS, { view: 'shape', idle: goesWith('chain.damage', 'chain.topPlateAngleLeft') }),
    sequence: oneOf(['full-complement', 'semi-skip', 'full-skip'], {
      ...identify('links'),
      idle: goesWith('chain.cutters', 'chain.driveLinks'),
    }),
  },
  { step: 'chain', minutes: 0.5 },
);
