import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the loop on the saw. */
export const LOOP_WORDS = {
  'loop.tape': 'tape round groove and sprocket',
  'loop.centreBack': 'centres, tensioner fully back',
  'loop.centreOut': 'centres, tensioner fully out',
  'loop.noseRadius': 'radius of the hard nose',
} as const satisfies SomeReadingWords;
