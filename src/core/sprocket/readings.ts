import { PITCH_MARKS } from '../families';
import { count, goesWith, group, length, oneOf, recorded, seen, words } from '../reading';

/** What can be said of the drive sprocket. */
export const driveSprocketReadings = group(
  {
    stamp: words(200, {
      means: 'As punched on the sprocket: pitch and teeth, such as 325-7.',
      step: 'identify',
      view: 'marks',
      idle: goesWith('driveSprocket.pitch'),
    }),
    type: oneOf(['spur', 'rim'], { idle: recorded }),
    teeth: count(
      { from: 4, to: 20 },
      { step: 'identify', view: 'marks', idle: goesWith('loop.centreBack', 'loop.centreOut') },
    ),
    pitch: oneOf(PITCH_MARKS, { step: 'identify', view: 'marks' }),
    wear: length(
      { kind: 'smallDefect', instrument: 'feeler' },
      { means: 'Depth of the grooves the drive links have worn.', minutes: 1, needed: { by: ['driveSprocket'] } },
    ),
    chainsRun: count({ from: 0, to: 100 }),
    turns: seen(
      { free: 'ok', rough: ['watch', 'free-bearing'], seized: 'fail' },
      { check: 'sprocket.turns', condemns: true },
    ),
  },
  { step: 'sprocket', minutes: 0.5 },
);
