import type { GroupId } from '../../../core/sheet';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the loop on the saw. */
export const LOOP_WORDS = {
  'loop.tape': { name: 'tape round groove and sprocket', field: 'Tape round', hint: 'groove and sprocket' },
  'loop.centreBack': { name: 'centres, tensioner fully back', field: 'Tensioner back' },
  'loop.centreOut': { name: 'centres, tensioner fully out', field: 'Tensioner out' },
  'loop.noseRadius': { name: 'radius of the hard nose', field: 'Radius of nose', hint: 'to the rivets' },
} as const satisfies SomeReadingWords;

/** Groups and lists of them, as one points at them in a sentence. */
export const LOOP_PLACES = {
  loop: 'the loop on the saw',
} as const satisfies Partial<Record<GroupId, string>>;
