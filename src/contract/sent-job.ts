import { DEFAULTS, LIMIT_IDS, type Limits } from '../core/limits';
import { INSTRUMENT_IDS } from '../core/quantity';
import type { StoredReadingMessage } from './readings';
import { carried } from './sent';
import type { JobView } from './views';

/** A job as its page carries it. */
export interface SentJob {
  /** All but the readings, as JSON; of the limits only those that the shop has changed. */
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

const ownOf = (limits: Limits): Partial<Limits> =>
  Object.fromEntries(LIMIT_IDS.filter((id) => limits[id] !== DEFAULTS[id]).map((id) => [id, limits[id]]));

function encoded({ readings, limits, ...view }: JobView): SentJob {
  return { view: JSON.stringify({ ...view, limits: ownOf(limits) }), readings: readings.map(line).join('\n') };
}

function decoded({ view, readings }: SentJob): JobView {
  const { limits, ...others } = JSON.parse(view) as Omit<JobView, 'readings' | 'limits'> & {
    readonly limits: Partial<Limits>;
  };
  return {
    ...others,
    limits: { ...DEFAULTS, ...limits },
    readings: readings === '' ? [] : readings.split('\n').map(reading),
  };
}

/** Packs a job for its page, and unpacks it there. */
export const { pack: packJob, unpack: unpackJob } = carried(encoded, decoded);
