import type { InstrumentId } from '../quantity';
import type { Study } from './study';

/** A study as it is written in a bench sheet. */
export interface WrittenStudy {
  readonly by: string;
  readonly instrument: InstrumentId;
  readonly on: string;
  readonly takes: string[];
  readonly known?: string | undefined;
  readonly knownDoubt?: string | undefined;
}

const mm = (value: number): string => `${value} mm`;

/** Writes a study as a bench sheet has it. */
export function writtenStudy({ by, instrument, on, takes, known }: Study): WrittenStudy {
  const block = known ? { known: mm(known.value), ...(known.u > 0 ? { knownDoubt: mm(known.u) } : {}) } : {};
  return { by, instrument, on, takes: takes.map(mm), ...block };
}
