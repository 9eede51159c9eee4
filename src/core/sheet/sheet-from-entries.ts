import { parseLength } from '../quantity';
import { benchSheetSchema, type BenchSheet, type WrittenBenchSheet } from './bench-sheet';
import { readEntry, type Entry, type EntryProblem } from './entry';
import { mostOf } from './entry-field';
import type { Json } from './json';

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
