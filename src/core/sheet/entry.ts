import { err, ok, type Result } from '../result';
import {
  parseLength,
  parseReading,
  type FieldSpec,
  type InstrumentId,
  type LengthReading,
  type ReadingProblem,
} from '../quantity';
import type { Kind, Reading } from '../reading';
import type { Json } from './json';
import { readingAt } from './places';

/** One thing as it was typed at one place of the sheet. An empty text withdraws what stood there. */
export interface Entry {
  readonly path: string;
  readonly text: string;
  /** The unit that stood beside the field when it was typed; bare numbers are read in it. */
  readonly unit: 'mm' | 'in';
  readonly instrument?: InstrumentId | null | undefined;
  /** Whose hand, where a study of it stands or an imported sheet names it. */
  readonly hand?: string | undefined;
}

/** Why an entry cannot be used. */
export type EntryProblem =
  | { readonly code: 'reading'; readonly problem: ReadingProblem }
  | { readonly code: 'not-a-count'; readonly text: string }
  | { readonly code: 'not-a-number'; readonly text: string }
  | { readonly code: 'not-one-of'; readonly text: string; readonly options: readonly string[] }
  | { readonly code: 'out-of-bounds'; readonly text: string; readonly bound: 'min' | 'max'; readonly limit: number }
  | { readonly code: 'too-long'; readonly most: number }
  | { readonly code: 'list-full'; readonly most: number }
  | { readonly code: 'no-such-place'; readonly path: string };

/** A value as it is used, and as a sheet writes it. */
export interface ReadValue {
  readonly value: LengthReading | Json;
  readonly written: Json;
}

/** Adds the unit to a bare number, so that the sheet says what the field did. Text with a unit stays as typed. */
function withUnit(text: string, spec: FieldSpec, unit: 'mm' | 'in'): string {
  const trimmed = text.trim();
  if (/[a-z"”″']/i.test(trimmed)) return trimmed;
  const read = parseLength(trimmed, spec.kind, unit);
  return read.ok ? `${trimmed} ${read.value.unit}` : trimmed;
}

/** A length as a sheet writes what was typed. */
function writtenLength({ text, unit, instrument, hand }: Entry, spec: FieldSpec, { kind }: LengthReading): Json {
  if (kind === 'bounded') {
    const marks = [...text.matchAll(/(enters|refuses)\s+([^;]+?)(?=\s*[;,]\s+(?:enters|refuses)|$)/gi)];
    return Object.fromEntries(marks.map((mark) => [mark[1]!.toLowerCase(), withUnit(mark[2]!, spec, unit)]));
  }
  const repeats = text
    .split(';')
    .filter((part) => part.trim() !== '')
    .map((part) => withUnit(part, spec, unit));
  const tool = instrument && instrument !== spec.instrument ? { instrument } : {};
  if (hand !== undefined) return { repeats, ...tool, by: hand };
  if ('instrument' in tool) return { repeats, ...tool };
  return repeats.length === 1 ? repeats[0]! : { repeats };
}

function readLength(entry: Entry, spec: FieldSpec): Result<ReadValue, EntryProblem> {
  const read = parseReading(entry.text, spec, entry.unit, entry.instrument ?? spec.instrument);
  if (!read.ok) return err({ code: 'reading', problem: read.error });
  const { hand } = entry;
  const value = hand !== undefined && read.value.kind === 'measured' ? { ...read.value, by: hand } : read.value;
  return ok({ value, written: writtenLength(entry, spec, read.value) });
}

const plain = (value: Json): Result<ReadValue, EntryProblem> => ok({ value, written: value });

function withinBounds(text: string, value: number, from: number, to: number): Result<ReadValue, EntryProblem> {
  if (value < from) return err({ code: 'out-of-bounds', text, bound: 'min', limit: from });
  if (value > to) return err({ code: 'out-of-bounds', text, bound: 'max', limit: to });
  return plain(value);
}

function chosen(text: string, options: readonly string[], most: number): Result<ReadValue, EntryProblem> {
  const all = text.split(/\s*,\s*/).filter(Boolean);
  if (all.length > most) return err({ code: 'out-of-bounds', text, bound: 'max', limit: most });
  const stranger = all.find((choice) => !options.includes(choice));
  return stranger === undefined ? plain([...all]) : err({ code: 'not-one-of', text: stranger, options });
}

function readAs(entry: Entry, kind: Kind): Result<ReadValue, EntryProblem> {
  const text = entry.text.trim();
  switch (kind.kind) {
    case 'length':
      return readLength(entry, kind.spec);
    case 'count':
      if (!/^\d{1,6}$/.test(text)) return err({ code: 'not-a-count', text });
      return withinBounds(entry.text, Number(text), kind.from, kind.to);
    case 'number': {
      const value = Number(text.replace(',', '.'));
      if (!/^\d+([.,]\d+)?$/.test(text)) return err({ code: 'not-a-number', text });
      return withinBounds(entry.text, value, kind.from, kind.to);
    }
    case 'choice':
      return kind.options.includes(text) ? plain(text) : err({ code: 'not-one-of', text, options: kind.options });
    case 'choices':
      return chosen(text, kind.options, kind.most);
    case 'yes-no':
      if (text === 'yes' || text === 'no') return plain(text === 'yes');
      return err({ code: 'not-one-of', text, options: ['yes', 'no'] });
    case 'text':
      return entry.text.length > kind.most ? err({ code: 'too-long', most: kind.most }) : plain(entry.text);
  }
}

/**
 * Reads one entry as what its place in the sheet holds.
 * @param reading what stands at the entry's path; null where the sheet has no such place
 */
export function readEntry(
  entry: Entry,
  reading: Reading | null = readingAt(entry.path),
): Result<ReadValue, EntryProblem> {
  return reading ? readAs(entry, reading.kind) : err({ code: 'no-such-place', path: entry.path });
}
