import { YES_NO, PITCH, TURNS } from './shared';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the nose. */
export const NOSE_WORDS = {
  'bar.nose': { name: 'kind of nose', field: 'Kind of nose', words: { sprocket: 'sprocket', hard: 'hard' } },
  'bar.noseReplaceable': { name: 'whether the nose can be replaced', field: 'Nose can be replaced', words: YES_NO },
  'bar.nosePort': { name: 'grease port of the nose', field: 'Port for grease', words: YES_NO },
  'bar.noseGreased': { name: 'whether the nose was greased before', field: 'Greased before', words: YES_NO },
  'bar.nosePitch': { name: 'pitch marked on the nose', field: 'Pitch marked on it', words: PITCH },
  'bar.noseTeeth': {
    name: 'teeth of the nose',
    field: 'Teeth, nose',
    hint: 'with the bar’s thickness it orders a new nose',
  },
  'bar.checks.noseTurns': {
    name: 'whether the nose turns',
    words: TURNS,
    check: 'Nose turning',
    says: {
      free: 'The nose turns freely.',
      rough: 'The nose turns roughly: wash it out, never spin it with air.',
      seized: 'The nose is seized.',
    },
    unseen: 'Nobody has said whether the nose turns.',
  },
  'bar.checks.tipPlay': {
    name: 'play at the tip',
    words: { none: 'none', slight: 'slight', loose: 'loose' },
    check: 'Tip play',
    says: {
      none: 'No play at the tip.',
      slight: 'Slight play at the tip: watch it.',
      loose: 'The nose sprocket is loose at the tip.',
    },
  },
  'bar.checks.noseTeeth': {
    name: 'state of the nose’s teeth',
    words: { good: 'good', worn: 'worn', missing: 'missing' },
    check: 'Teeth of the nose',
    says: {
      good: 'The teeth of the nose are good.',
      worn: 'The teeth of the nose are worn.',
      missing: 'Teeth are missing from the nose.',
    },
  },
  'bar.checks.hardNose': {
    name: 'how far the hard nose is worn',
    words: { good: 'sound', worn: 'worn', through: 'worn through or chipped' },
    check: 'Wear of the hard nose',
    says: {
      good: 'The hard nose is sound.',
      worn: 'The facing of the hard nose is worn: watch it.',
      through: 'The facing of the hard nose is worn through or chipped: the chain runs on soft metal.',
    },
  },
  'bar.checks.nosePinch': {
    name: 'whether the plates press on the nose sprocket',
    field: 'Nose plates press on it',
    words: { no: 'no', yes: 'yes' },
    check: 'Nose plates',
    says: { no: 'The nose plates stand free of the sprocket.', yes: 'The nose plates press on the sprocket: free it.' },
  },
  'bar.checks.noseDirt': {
    name: 'dirt round the nose sprocket',
    words: { clear: 'clear', packed: 'packed' },
    check: 'Dirt at the nose',
    says: {
      clear: 'No dirt round the nose sprocket.',
      packed: 'Dirt is packed round the nose sprocket: clear it, never with air that spins it.',
    },
  },
} as const satisfies SomeReadingWords;
