import { PITCH_MARKS } from '../families';
import {
  count,
  goesWith,
  group,
  length,
  limit,
  oneOf,
  recorded,
  seen,
  someOf,
  words,
  yesNo,
  type Work,
  evidence,
} from '../reading';

/** Work on a drive sprocket that is not replaced itself, in working order. */
export const SPROCKET_WORK = {
  'renew-drum': { shows: true },
  'renew-bearing': { shows: true },
  'free-bearing': { cleans: true, shows: true },
  'renew-clip': { shows: true },
} as const satisfies Record<string, Work>;

export const SPROCKET_OPERATIONS = Object.keys(SPROCKET_WORK) as readonly (keyof typeof SPROCKET_WORK)[];

/** Putting on another drive sprocket, in working order. */
const REPLACE_ACTS = [
  'brake-off',
  'tension-back',
  'clip-off',
  'drum-off',
  'bearing-clean',
  'pump-lined-up',
  'clip-seated',
  'turns-freely',
] as const;

/** One piece, or a rim on a hub. */
export const SPROCKET_KINDS = ['spur', 'rim'] as const;
export type SprocketKind = (typeof SPROCKET_KINDS)[number];

/** What can be said of the drive sprocket. */
export const driveSprocketReadings = group(
  {
    pitch: evidence(oneOf(PITCH_MARKS, { step: 'identify', view: 'marks' })),
    stamp: evidence(
      words(200, {
        means: 'As punched on the sprocket: pitch and teeth, such as 325-7.',
        step: 'identify',
        view: 'marks',
        idle: goesWith('driveSprocket.pitch'),
      }),
    ),
    type: oneOf(SPROCKET_KINDS, { idle: recorded }),
    bore: length(
      { kind: 'bore', instrument: 'caliper' },
      { means: 'Bore that it turns on.', idle: goesWith('driveSprocket.type') },
    ),
    splines: count(
      { from: 2, to: 60 },
      { means: 'Splines of the hub that a rim sits on.', idle: goesWith('driveSprocket.type', 'saw.splines') },
    ),
    teeth: count(
      { from: 4, to: 20 },
      { step: 'identify', view: 'marks', idle: goesWith('loop.centreBack', 'loop.centreOut') },
    ),
    wear: length(
      { kind: 'smallDefect', instrument: 'feeler' },
      {
        means: 'Depth of the grooves the drive links have worn.',
        minutes: 1,
        decides: 0.3,
        setUp: 'blade',
        needed: { by: ['driveSprocket'], orElse: ['driveSprocket.grade'] },
        judged: {
          check: 'sprocket.wear',
          most: limit(0.5, 'mm', 'memory'),
          watch: { watch: limit(0.3, 'mm', 'memory') },
          condemns: true,
          always: true,
          together: true,
        },
      },
    ),
    grade: seen(
      { none: 'ok', light: 'undecided', deep: 'fail' },
      {
        check: 'sprocket.grade',
        condemns: true,
        together: true,
        means: 'Wear by comparing with drawn grades, where it was not measured.',
      },
    ),
    chainsRun: count({ from: 0, to: 100 }),
    rotationSet: count(
      { from: 1, to: 10 },
      { means: 'Chains run in turn on it.', idle: goesWith('driveSprocket.chainsRun') },
    ),
    turns: seen(
      { free: 'ok', rough: ['watch', 'free-bearing'], seized: 'fail' },
      { check: 'sprocket.turns', condemns: true },
    ),
    drum: seen({ ok: 'ok', worn: ['fail', 'renew-drum'] }, { check: 'sprocket.drum', means: 'Clutch drum.' }),
    bearing: seen(
      { ok: 'ok', dry: ['watch', 'free-bearing'], worn: ['fail', 'renew-bearing'] },
      { check: 'sprocket.bearing', means: 'Needle bearing under the drum.' },
    ),
    clip: seen(
      { ok: 'ok', bent: ['fail', 'renew-clip'], missing: ['fail', 'renew-clip'] },
      { check: 'sprocket.clip', means: 'Clip that holds the sprocket on its shaft.' },
    ),
    reworkDone: someOf(SPROCKET_OPERATIONS, { step: 'rework', view: 'sprocket', idle: recorded }),
    renewed: yesNo({
      means: 'A new drive sprocket goes on with the new chain.',
      step: 'order',
      idle: goesWith('driveSprocket.wear', 'driveSprocket.grade'),
    }),
    replaceDone: someOf(REPLACE_ACTS, {
      means: 'Acts of putting another drive sprocket on that were done.',
      idle: recorded,
    }),
  },
  { step: 'sprocket', minutes: 0.5 },
);
