import { z } from 'zod';
import { err, ok, type Result } from '../result';
import { parseLength, parseReading, type FieldSpec, type InstrumentId, type ReadingProblem } from '../quantity';
import { benchSheetSchema, type BenchSheet, type WrittenBenchSheet } from './bench-sheet';
import { entryPlace, mostOf, type EntryField } from './entry-field';
import { fieldSpec } from './fields';

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

/** A refused entry: kept as typed, with its reason, out of the sheet. */
export interface RefusedEntry {
  readonly path: string;
  readonly text: string;
  readonly problem: EntryProblem;
}

/** A sheet made of entries, with what could not be used. */
export interface EnteredSheet {
  readonly sheet: BenchSheet;
  readonly written: WrittenBenchSheet;
  readonly refused: readonly RefusedEntry[];
  /** For each edge the keys of its stations in the order of the sheet, so that a check's place can be traced to its field. */
  readonly stationKeys: Readonly<Record<'A' | 'B', readonly string[]>>;
}

type Json = string | number | boolean | Json[] | { [key: string]: Json };

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

interface Node {
  value?: Json;
  readonly children: Map<string, Node>;
}

const node = (): Node => ({ children: new Map() });

function place(root: Node, path: readonly string[], value: Json): void {
  let at = root;
  for (const key of path) {
    if (!at.children.has(key)) at.children.set(key, node());
    at = at.children.get(key)!;
  }
  at.value = value;
}

const isList = (keys: readonly string[]): boolean => keys.length > 0 && keys.every((key) => /^\d+$/.test(key));

/** What is found beside the document while lists are made. */
interface Lists {
  readonly stationKeys: { A: readonly string[]; B: readonly string[] };
  /** Members that a list has no room for, by their path, and how many it has room for. */
  readonly overflow: Map<string, number>;
}

/** Turns the tree into JSON. Numbered children become a list in the order of their numbers; stations go by their position. */
function toJson(at: Node, path: string, lists: Lists): Json {
  if (at.value !== undefined) return at.value;
  const below = (key: string) => toJson(at.children.get(key)!, path === '' ? key : `${path}.${key}`, lists);
  const keys = [...at.children.keys()];
  if (!isList(keys)) return Object.fromEntries(keys.map((key) => [key, below(key)]));
  const edge = /^bar\.edges\.([AB])\.stations$/.exec(path)?.[1] as 'A' | 'B' | undefined;
  const listed = edge ? keys.filter((key) => at.children.get(key)!.children.has('at')) : keys;
  const ordered = listed
    .map((key) => ({ key, number: Number(key), position: edge ? position(at, key) : 0 }))
    .sort((a, b) => a.position - b.position || a.number - b.number)
    .map(({ key }) => key);
  const most = mostOf(path) ?? Infinity;
  for (const key of ordered.slice(most)) lists.overflow.set(`${path}.${key}`, most);
  const there = ordered.slice(0, most);
  if (edge) lists.stationKeys[edge] = there;
  return there.map(below);
}

function position(stations: Node, key: string): number {
  const written = stations.children.get(key)!.children.get('at')?.value;
  const text = typeof written === 'string' ? written : '';
  const read = parseLength(text, 'station');
  return read.ok ? read.value.length : 0;
}

/**
 * Groups that need several values (a span needs rivets and length) wait outside the sheet until they are whole. All that are found at once go
 * at once, the last of a list first, so that the places of the others hold.
 */
function withoutIncomplete(document: Json): { written: WrittenBenchSheet; sheet: BenchSheet } {
  const parsed = benchSheetSchema.safeParse(document);
  if (parsed.success) return { written: document as WrittenBenchSheet, sheet: parsed.data };
  const groups = new Map(
    parsed.error.issues.map(({ path }) => [path.slice(0, -1).join('.'), path.slice(0, -1).map(String)]),
  );
  if (groups.has('')) throw new Error('Entries that were each accepted do not make a sheet.');
  return withoutIncomplete([...groups.values()].sort(lastFirst).reduce(without, document));
}

/** Orders paths so that a later member of a list, and what lies inside a group, comes first. */
function lastFirst(a: readonly string[], b: readonly string[]): number {
  const fork = a.findIndex((key, i) => key !== b[i]);
  const [x, y] = fork === -1 ? [undefined, b[a.length]] : [a[fork], b[fork]];
  if (x === undefined || y === undefined) return b.length - a.length;
  return Number(y) - Number(x) || y.localeCompare(x);
}

function without(document: Json, path: readonly string[]): Json {
  const [key, ...rest] = path;
  if (key === undefined || typeof document !== 'object') return document;
  if (Array.isArray(document)) {
    return rest.length === 0
      ? document.filter((_, i) => i !== Number(key))
      : document.map((item, i) => (i === Number(key) ? without(item, rest) : item));
  }
  const { [key]: inner, ...others } = document;
  return rest.length === 0 || inner === undefined ? others : { ...others, [key]: without(inner, rest) };
}

/**
 * Makes a bench sheet of what was typed. Each path counts once, with its last entry. Entries that cannot be read are returned
 * with their reason, never dropped in silence.
 */
export function sheetFromEntries(entries: readonly Entry[]): EnteredSheet {
  const root = node();
  const refused: RefusedEntry[] = [];
  const latest = new Map(entries.map((entry) => [entry.path, entry]));
  for (const entry of latest.values()) {
    if (entry.text.trim() === '') continue;
    const read = readEntry(entry);
    if (read.ok) place(root, entry.path.split('.'), read.value);
    else refused.push({ path: entry.path, text: entry.text, problem: read.error });
  }
  const lists: Lists = { stationKeys: { A: [], B: [] }, overflow: new Map() };
  const document = toJson(root, '', lists);
  const { written, sheet } = withoutIncomplete({
    format: 'serrata-bench-sheet',
    version: 1,
    ...(document as { [key: string]: Json }),
  });
  return {
    sheet,
    written,
    refused: [...refused, ...overflowing([...latest.values()], lists.overflow)],
    stationKeys: lists.stationKeys,
  };
}

/** Entries of members that a list had no room for. */
function overflowing(entries: readonly Entry[], overflow: Lists['overflow']): readonly RefusedEntry[] {
  if (overflow.size === 0) return [];
  return entries.flatMap(({ path, text }): RefusedEntry[] => {
    const over = [...overflow].find(([member]) => path === member || path.startsWith(`${member}.`));
    return over && text.trim() !== '' ? [{ path, text, problem: { code: 'list-full', most: over[1] } }] : [];
  });
}

/** A quantity as one would type it: the reverse of reading an entry. */
function quantityText(written: { [key: string]: Json }): { text: string; instrument?: InstrumentId } {
  if (Array.isArray(written.repeats)) {
    const text = written.repeats.join('; ');
    return typeof written.instrument === 'string' ? { text, instrument: written.instrument as InstrumentId } : { text };
  }
  const marks = ['enters', 'refuses'].flatMap((mark) =>
    typeof written[mark] === 'string' ? [`${mark} ${written[mark]}`] : [],
  );
  return { text: marks.join(', ') };
}

/** Takes a written sheet apart into entries, so that an imported sheet is stored like a typed one. */
export function entriesFromSheet(written: WrittenBenchSheet): readonly Entry[] {
  const { format: _format, version: _version, ...content } = written;
  const entries: Entry[] = [];
  const walk = (value: Json, path: string): void => {
    const field = entryPlace(path)?.field;
    if (field?.kind === 'quantity' && typeof value === 'object' && !Array.isArray(value))
      entries.push({ path, unit: 'mm', ...quantityText(value) });
    else if (field?.kind === 'choices' && Array.isArray(value))
      entries.push({ path, unit: 'mm', text: value.join(', ') });
    else if (typeof value === 'boolean') entries.push({ path, unit: 'mm', text: value ? 'yes' : 'no' });
    else if (typeof value !== 'object') entries.push({ path, unit: 'mm', text: String(value) });
    else for (const [key, inner] of Object.entries(value)) walk(inner, path === '' ? key : `${path}.${key}`);
  };
  walk(JSON.parse(JSON.stringify(content)) as Json, '');
  return entries;
}
