import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the loop on the saw. */
export const LOOP_WORDS = {
  'loop.tape': { name: 'tape round groove and sprocket', field: 'Tape round', hint: 'groove and sprocket' },
  'loop.centreBack': { name: 'centres, tensioner fully back', field: 'Tensioner back' },
  'loop.centreOut': { name: 'centres, tensioner fully out', field: 'Tensioner out' },
  'loop.noseRadius': { name: 'radius of the hard nose', field: 'Radius of nose', hint: 'to the rivets' },
} as const satisfies SomeReadingWords;
