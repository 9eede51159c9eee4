import { PITCH_MARKS } from '../families';
import { INSTRUMENT_IDS, PLACING_ON_RIVETS } from '../quantity';
import { count, goesWith, group, length, listOf, oneOf, seen, someOf, words } from '../reading';

const cutterLength = () => length({ kind: 'cutter', instrument: 'caliper' });
const pushPull = () => length({ kind: 'push', instrument: 'tape' });

/** Told of what is read to identify the chain: its view. */
const identify = (view: string) => ({ step: 'identify', view }) as const;

/** Readings that tell what the chain is. */
const identifying = {
  stamp: words(200, { ...identify('marks'), idle: goesWith('chain.pitch', 'chain.gauge') }),
  span: group(
    {
      rivets: count({ from: 2, to: 400 }, { means: 'Rivets counted, both ends included: 11 rivets span 10 pitches.' }),
      length: length({ kind: 'span', instrument: 'caliper', placing: PLACING_ON_RIVETS }),
      instrument: oneOf(INSTRUMENT_IDS),
    },
    { ...identify('pitch'), idle: goesWith('chain.pitch') },
    ['rivets', 'length'],
  ),
  template: someOf(PITCH_MARKS, { means: 'Templates whose cut-outs centre on the rivets.', ...identify('pitch') }, 6),
  chassis: oneOf(['small', 'large'], {
    means: 'Cutter and link compared side by side with a known chain.',
    ...identify('pitch'),
  }),
  fileSize: length(
    { kind: 'file', instrument: 'caliper' },
    { means: 'Round file that was used on it.', ...identify('pitch') },
  ),
  driveLinkThickness: length({ kind: 'thickness', instrument: 'caliper', goNoGo: 'slot' }, identify('gauge')),
  driveLinks: listOf(count({ from: 1, to: 400 }), 20, {
    means: 'Recounts, in the order they were made.',
    minutes: 1.5,
    ...identify('links'),
  }),
  cutters: count(
    { from: 1, to: 200 },
    { minutes: 3, ...identify('links'), idle: goesWith('chain.sequence', 'chain.driveLinks') },
  ),
  loopLength: length(
    { kind: 'loop', instrument: 'tape' },
    { means: 'Once round at the rivet line, chain pulled straight.', minutes: 2, ...identify('links') },
  ),
};

/** Readings that tell how far it is worn. */
const worn = {
  tang: length(
    { kind: 'tang', instrument: 'caliper' },
    {
      means: 'Length of the drive link below the straps.',
      idle: goesWith('bar.edges.depth', 'bar.edges.mouth'),
    },
  ),
  kerf: length(
    { kind: 'kerf', instrument: 'caliper' },
    { idle: goesWith('chain.tipHeight', 'bar.thickness', 'bar.edges.mouth') },
  ),
  tipHeight: length(
    { kind: 'kerf', instrument: 'caliper' },
    {
      means: 'Cutter tip above the middle of the engaged tang.',
      idle: goesWith('chain.kerf', 'bar.thickness', 'bar.edges.mouth'),
    },
  ),
  cuttersLeft: listOf(cutterLength(), 200, {
    minutes: 3,
    needed: { by: ['chain'], orElse: ['chain.cuttersRight'], enough: (there) => (there as unknown[]).length > 0 },
  }),
  cuttersRight: listOf(cutterLength(), 200, { minutes: 3 }),
  damage: listOf(
    group({ side: oneOf(['left', 'right']), cutter: count({ from: 1, to: 400 }), setBack: cutterLength() }, {}, [
      'side',
      'cutter',
      'setBack',
    ]),
    400,
    { idle: goesWith('chain.cuttersLeft') },
  ),
  witnessLimit: length({ kind: 'cutter', instrument: 'caliper' }, { idle: goesWith('chain.cuttersLeft') }),
  pushPull: group(
    { joints: count({ from: 1, to: 800 }), closed: pushPull(), pulled: pushPull() },
    { minutes: 2, needed: { by: ['chain'] }, idle: goesWith('chain.pushPull') },
    ['joints', 'closed', 'pulled'],
  ),
  checks: group({
    crack: seen(
      { no: 'ok', yes: 'fail', unsure: 'undecided' },
      { check: 'chain.crack', condemns: true, always: true, minutes: 2, needed: { by: ['chain'] } },
    ),
    strapBurrs: seen({ none: 'ok', light: 'watch', heavy: ['fail', 'dress-straps'] }, { check: 'chain.straps' }),
    resin: seen(
      { none: 'ok', soft: 'ok', baked: 'watch' },
      { check: 'chain.resin', means: 'Bright: it was sharp and oiled.', step: 'strip' },
    ),
    burredTangs: count({ from: 0, to: 400 }),
    tightJoints: count({ from: 0, to: 800 }),
  }),
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
    sequence: oneOf(['full-complement', 'semi-skip', 'full-skip'], {
      ...identify('links'),
      idle: goesWith('chain.cutters', 'chain.driveLinks'),
    }),
  },
  { step: 'chain', minutes: 0.5 },
);
