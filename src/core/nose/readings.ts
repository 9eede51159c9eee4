import { PITCH_MARKS } from '../families';
import { count, goesWith, oneOf, recorded, yesNo } from '../reading';

/** What the nose is: these stand with the bar, which it is a part of. */
export const noseReadings = {
  nose: oneOf(['sprocket', 'hard'], { idle: goesWith('bar.checks.noseTurns') }),
  noseReplaceable: yesNo({ idle: recorded }),
  nosePort: yesNo({ means: 'Has a port to grease the nose through.', idle: recorded }),
  nosePitch: oneOf(PITCH_MARKS, {
    means: 'Pitch marked on the nose sprocket or its rivets.',
    step: 'identify',
    view: 'marks',
    nose: 'sprocket',
  }),
  noseTeeth: count(
    { from: 5, to: 20 },
    { step: 'identify', view: 'marks', nose: 'sprocket', idle: goesWith('driveSprocket.teeth', 'bar.thickness') },
  ),
};

/** How the nose is found when it is looked over. */
export const noseChecks = {
  noseTeeth: oneOf(['good', 'worn', 'missing'], { nose: 'sprocket' }),
  hardNose: oneOf(['good', 'worn', 'through'], {
    means: 'Wear of a hard nose: `through` where the hard facing is worn through or chipped.',
    nose: 'hard',
    needed: { by: ['nose'] },
  }),
  nosePinch: oneOf(['no', 'yes'], { means: 'Nose plates pressed together on the sprocket.', nose: 'sprocket' }),
  noseDirt: oneOf(['clear', 'packed'], {
    means: 'Dirt packed round the nose sprocket.',
    nose: 'sprocket',
    step: 'clean',
  }),
  noseTurns: oneOf(['free', 'rough', 'seized'], { nose: 'sprocket', needed: { by: ['bar', 'nose'] } }),
  tipPlay: oneOf(['none', 'slight', 'loose'], { nose: 'sprocket' }),
};
