import { z } from 'zod';
import { err, ok, type Result } from '../result';
import { parseLength, parseReading, type FieldSpec, type InstrumentId, type ReadingProblem } from '../quantity';
import { entryPlace, type EntryField } from './entry-field';
import { fieldSpec } from './fields';
import type { Json } from './json';

/** One thing as it was typed at one place of the sheet. An empty text withdraws what stood there. */
export interface Entry {
  readonly path: string;
  readonly text: string;
  /** The unit that stood beside the field when it was typed; bare numbers are read in it. */
  readonly unit: 'mm' | 'in';
  readonly instrument?: InstrumentId | null | undefined;
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

/** Adds the unit to a bare number, so that the sheet says what the field did. Text with a unit stays as typed. */
function withUnit(text: string, spec: FieldSpec, unit: 'mm' | 'in'): string {
  const trimmed = text.trim();
  if (/[a-z"”″']/i.test(trimmed)) return trimmed;
  const read = parseLength(trimmed, spec.kind, unit);
  if (!read.ok) return trimmed;
  return `${trimmed} ${read.value.unit}`;
}

function writtenQuantity({ text, unit, instrument }: Entry, spec: FieldSpec): Result<Json, EntryProblem> {
  const read = parseReading(text, spec, unit, instrument ?? spec.instrument);
  if (!read.ok) return err({ code: 'reading', problem: read.error });
  if (read.value.kind === 'bounded') {
    const marks = [...text.matchAll(/(enters|refuses)\s+([^;]+?)(?=\s*[;,]\s+(?:enters|refuses)|$)/gi)];
    return ok(Object.fromEntries(marks.map((mark) => [mark[1]!.toLowerCase(), withUnit(mark[2]!, spec, unit)])));
  }
  const repeats = text
    .split(';')
    .filter((part) => part.trim() !== '')
    .map((part) => withUnit(part, spec, unit));
  if (instrument && instrument !== spec.instrument) return ok({ repeats, instrument });
  return ok(repeats.length === 1 ? repeats[0]! : { repeats });
}

function writtenValue(entry: Entry, field: EntryField): Result<Json, EntryProblem> {
  const text = entry.text.trim();
  switch (field.kind) {
    case 'quantity':
      return writtenQuantity(entry, fieldSpec(field.field));
    case 'count':
      return /^\d{1,6}$/.test(text) ? ok(Number(text)) : err({ code: 'not-a-count', text });
    case 'number':
      return /^\d+([.,]\d+)?$/.test(text) ? ok(Number(text.replace(',', '.'))) : err({ code: 'not-a-number', text });
    case 'choice':
      return field.options.includes(text) ? ok(text) : err({ code: 'not-one-of', text, options: field.options });
    case 'choices': {
      const chosen = text.split(/\s*,\s*/).filter(Boolean);
      const stranger = chosen.find((choice) => !field.options.includes(choice));
      return stranger === undefined ? ok(chosen) : err({ code: 'not-one-of', text: stranger, options: field.options });
    }
    case 'yes-no':
      return text === 'yes' || text === 'no'
        ? ok(text === 'yes')
        : err({ code: 'not-one-of', text, options: ['yes', 'no'] });
    case 'text':
      return ok(entry.text);
  }
}

/** Entries read so far, for as long as anybody holds them: at a keystroke all but one are what they were. */
const readBefore = new WeakMap<Entry, Result<Json, EntryProblem>>();

/** Reads one entry against its place in the sheet. An entry never changes, so that it is read once. */
export function readEntry(entry: Entry): Result<Json, EntryProblem> {
  const before = readBefore.get(entry);
  if (before) return before;
  const read = readAtItsPlace(entry);
  readBefore.set(entry, read);
  return read;
}

function readAtItsPlace(entry: Entry): Result<Json, EntryProblem> {
  const place = entryPlace(entry.path);
  if (!place) return err({ code: 'no-such-place', path: entry.path });
  const value = writtenValue(entry, place.field);
  if (!value.ok) return value;
  const parsed = z.safeParse(place.schema, value.value);
  const issue = parsed.error?.issues[0];
  if (issue?.code === 'too_small')
    return err({ code: 'out-of-bounds', text: entry.text, bound: 'min', limit: Number(issue.minimum) });
  if (issue?.code === 'too_big' && issue.origin === 'string')
    return err({ code: 'too-long', most: Number(issue.maximum) });
  if (issue?.code === 'too_big')
    return err({ code: 'out-of-bounds', text: entry.text, bound: 'max', limit: Number(issue.maximum) });
  return value;
}
