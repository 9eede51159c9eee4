import type { InstrumentId } from '../../core/quantity';

interface InstrumentWords {
  readonly name: string;
  /** In the corner of a cell, where the whole name is too long. */
  readonly short?: string;
}

/** What instruments are called; one that has no row is called by its id. */
const INSTRUMENT_WORDS: Readonly<Partial<Record<InstrumentId, InstrumentWords>>> = {
  caliper: { name: 'caliper' },
  'depth-rod': { name: 'depth rod', short: 'rod' },
  'depth-marks': { name: 'depth marks', short: 'marks' },
  feeler: { name: 'feeler blade', short: 'blade' },
  'slot-gauge': { name: 'slot gauge', short: 'slot' },
  template: { name: 'template' },
  rule: { name: 'rule' },
  tape: { name: 'tape' },
};

export const instrumentName = (id: InstrumentId): string => INSTRUMENT_WORDS[id]?.name ?? id.replaceAll('-', ' ');

/** An instrument in the corner of a cell. */
export const instrumentShort = (id: InstrumentId): string => INSTRUMENT_WORDS[id]?.short ?? instrumentName(id);
