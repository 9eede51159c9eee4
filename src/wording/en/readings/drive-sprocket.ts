import { PITCH, TURNS } from './shared';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the drive sprocket. */
export const DRIVE_SPROCKET_WORDS = {
  'driveSprocket.stamp': 'mark on the drive sprocket',
  'driveSprocket.type': { name: 'kind of drive sprocket', words: { spur: 'spur', rim: 'rim and drum' } },
  'driveSprocket.teeth': 'teeth of the drive sprocket',
  'driveSprocket.pitch': { name: 'pitch of the drive sprocket', words: PITCH },
  'driveSprocket.wear': 'wear of the drive sprocket',
  'driveSprocket.chainsRun': 'chains that ran on the drive sprocket',
  'driveSprocket.turns': {
    name: 'whether the drive sprocket turns',
    words: TURNS,
    check: 'Turning',
    says: {
      free: 'The drive sprocket turns freely.',
      rough: 'The drive sprocket turns roughly: clean and grease its bearing.',
      seized: 'The drive sprocket is seized.',
    },
  },
} as const satisfies SomeReadingWords;
