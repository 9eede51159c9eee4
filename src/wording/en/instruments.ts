import type { InstrumentId } from '../../core/quantity';

interface InstrumentWords {
  readonly name: string;
  /** In the corner of a cell, where the whole name is too long. */
  readonly short?: string;
  /** How it is held, for who learns it (common practice, no source). */
  readonly held?: string;
}

/** What instruments are called; one that has no row is called by its id. */
const INSTRUMENT_WORDS: Readonly<Partial<Record<InstrumentId, InstrumentWords>>> = {
  caliper: { name: 'caliper', held: 'Close it gently and square to the part, wipe its jaws, and look at it straight.' },
  'depth-rod': {
    name: 'depth rod',
    short: 'rod',
    held: 'Stand its foot flat on the rail, let the rod fall to the floor of the groove, and read it there.',
  },
  'depth-marks': {
    name: 'depth marks',
    short: 'marks',
    held: 'Mark the rail with a thumbnail and hold it against the marks: good to a quarter of a millimetre, no better.',
  },
  feeler: {
    name: 'feeler blade',
    short: 'blade',
    held: 'The blade that goes in without force and drags a little is the one; the next must not go in.',
  },
  'slot-gauge': {
    name: 'slot gauge',
    short: 'slot',
    held: 'The narrowest slot that goes over without wobble: links only wear thinner, so never force one.',
  },
  template: { name: 'template', held: 'Lay it on and hold both against the light: the one that shows none fits.' },
  rule: { name: 'rule', held: 'Lay its edge on the part, and look straight down on the mark.' },
  tape: { name: 'tape', held: 'Pull the chain straight first; begin at a mark of the tape, not at its hook.' },
  picture: {
    name: 'picture',
    held: 'A photograph with the scale card in it: card taped flat, chain taut, phone upright over the middle.',
  },
};

/** How an instrument is held; null where nothing is to be said of it. */
export const instrumentHeld = (id: InstrumentId): string | null => INSTRUMENT_WORDS[id]?.held ?? null;

export const instrumentName = (id: InstrumentId): string => INSTRUMENT_WORDS[id]?.name ?? id.replaceAll('-', ' ');

/** An instrument in the corner of a cell. */
export const instrumentShort = (id: InstrumentId): string => INSTRUMENT_WORDS[id]?.short ?? instrumentName(id);
