import { PITCH_MARKS } from '../families';
import { count, goesWith, oneOf, recorded, seen, yesNo, evidence } from '../reading';

/** What the nose is: these stand with the bar, which it is a part of. */
export const noseReadings = {
  nose: oneOf(['sprocket', 'hard'], { idle: goesWith('bar.checks.noseTurns') }),
  noseReplaceable: yesNo({ idle: recorded }),
  nosePort: yesNo({ means: 'Has a port to grease the nose through.', idle: recorded }),
  noseGreased: yesNo({ means: 'The nose has been greased before, and so goes on being greased.', idle: recorded }),
  nosePitch: evidence(
    oneOf(PITCH_MARKS, {
      means: 'Pitch marked on the nose sprocket or its rivets.',
      step: 'identify',
      view: 'marks',
      nose: 'sprocket',
    }),
  ),
  noseTeeth: count(
    { from: 5, to: 20 },
    { step: 'identify', view: 'marks', nose: 'sprocket', idle: goesWith('driveSprocket.teeth', 'bar.thickness') },
  ),
};

/** How the nose is found when it is looked over. */
export const noseChecks = {
  noseTurns: seen(
    { free: 'ok', rough: ['watch', 'free-nose'], seized: 'fail' },
    {
      check: 'nose.turns',
      condemns: true,
      always: true,
      nose: 'sprocket',
      decides: 0.06,
      needed: { by: ['bar', 'nose'] },
    },
  ),
  tipPlay: seen(
    { none: 'ok', slight: 'watch', loose: 'fail' },
    { check: 'nose.tip-play', condemns: true, nose: 'sprocket' },
  ),
  noseTeeth: seen(
    { good: 'ok', worn: 'watch', missing: 'fail' },
    { check: 'nose.teeth', condemns: true, nose: 'sprocket' },
  ),
  hardNose: seen(
    { good: 'ok', worn: 'watch', through: 'fail' },
    {
      check: 'nose.hard-wear',
      condemns: true,
      means: 'Wear of a hard nose: `through` where the hard facing is worn through or chipped.',
      nose: 'hard',
      decides: 0.06,
      needed: { by: ['nose'] },
    },
  ),
  nosePinch: seen(
    { no: 'ok', yes: ['fail', 'free-nose'] },
    { check: 'nose.pinch', means: 'Nose plates pressed together on the sprocket.', nose: 'sprocket' },
  ),
  noseDirt: seen(
    { clear: 'ok', packed: ['fail', 'free-nose'] },
    { check: 'nose.dirt', means: 'Dirt packed round the nose sprocket.', nose: 'sprocket', step: 'clean' },
  ),
};
