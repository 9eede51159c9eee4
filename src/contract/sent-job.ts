import { INSTRUMENT_IDS } from '../core/quantity';
import type { StoredReadingMessage } from './readings';
import type { JobView } from './views';

/** A job as its page carries it: two texts, which cost next to nothing to write into a page and to read out of it. */
export interface SentJob {
  /** All but the readings, as JSON. */
  readonly view: string;
  /** The readings, one a line: the same words are not written again for each. */
  readonly readings: string;
}

const ESCAPED = { '\\': '\\\\', '\t': '\\t', '\n': '\\n', '\r': '\\r' } as const;
const escape = (text: string): string => text.replace(/[\\\t\n\r]/g, (found) => ESCAPED[found as keyof typeof ESCAPED]);
const WRITTEN = { '\\\\': '\\', '\\t': '\t', '\\n': '\n', '\\r': '\r' } as const;
const unescape = (text: string): string =>
  text.replace(/\\[\\tnr]/g, (found) => WRITTEN[found as keyof typeof WRITTEN]);

function line({ seq, id, path, text, unit, instrument, at, by }: StoredReadingMessage): string {
  return [String(seq), id, escape(path), escape(text), unit, instrument ?? '', at, escape(by)].join('\t');
}

function reading(written: string): StoredReadingMessage {
  const [seq, id, path, text, unit, instrument, at, by] = written.split('\t') as [string, ...string[]];
  return {
    seq: Number(seq),
    id: id!,
    path: unescape(path!),
    text: unescape(text!),
    unit: unit === 'in' ? 'in' : 'mm',
    instrument: INSTRUMENT_IDS.find((tool) => tool === instrument) ?? null,
    at: at!,
    by: unescape(by!),
  };
}

/** Packs a job for its page. */
export function packJob({ readings, ...view }: JobView): SentJob {
  return { view: JSON.stringify(view), readings: readings.map(line).join('\n') };
}

/** Unpacks what {@link packJob} packed. */
export function unpackJob({ view, readings }: SentJob): JobView {
  return {
    ...(JSON.parse(view) as Omit<JobView, 'readings'>),
    readings: readings === '' ? [] : readings.split('\n').map(reading),
  };
}
