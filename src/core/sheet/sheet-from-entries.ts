import { flatMap } from '../flat-map';
import { estimate, type LengthReading } from '../quantity';
import type { GroupPlace, ListPlace, Place, Reading } from '../reading';
import type { BenchSheet, WrittenBenchSheet } from './bench-sheet';
import { readEntry, type Entry, type EntryProblem, type ReadValue } from './entry';
import type { Json } from './json';
import { readingAt, SHEET, usualToolOf } from './places';
import { studiesThatCount, writtenStudy, type Study } from '../hand';

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
  /**
   * For each edge the keys of its stations in the order of the sheet, so that a check's place can be traced to its
   * field.
   */
  readonly stationKeys: Readonly<Record<'A' | 'B', readonly string[]>>;
}

interface Node {
  read?: ReadValue;
  readonly children: Map<string, Node>;
}

const node = (): Node => ({ children: new Map() });

function put(root: Node, path: readonly string[], read: ReadValue): void {
  let at = root;
  for (const key of path) {
    let next = at.children.get(key);
    if (!next) at.children.set(key, (next = node()));
    at = next;
  }
  at.read = read;
}

/** What is found beside the sheet while lists are made. */
interface Lists {
  /** Members of each list in their order, by the keys they were entered under. */
  readonly members: Map<string, readonly string[]>;
  /** Members that a list has no room for, by their path, and how many it has room for. */
  readonly overflow: Map<string, number>;
}

/** Something as it is used, and as it is written. */
interface Built {
  readonly value: unknown;
  readonly written: Json;
}

/** Builds what stands at a place; null for a group that waits for what it cannot do without. */
function build(at: Node, place: Place, path: string, lists: Lists): Built | null {
  if (place.is === 'reading') return at.read ?? null;
  return place.is === 'list' ? buildList(at, place, path, lists) : buildGroup(at, place, path, lists);
}

function buildGroup(at: Node, place: GroupPlace, path: string, lists: Lists): Built | null {
  const value: Record<string, unknown> = {};
  const written: { [key: string]: Json } = {};
  for (const [key, member] of place.members) {
    const child = at.children.get(key);
    const built = child && build(child, member, path === '' ? key : `${path}.${key}`, lists);
    if (!built) continue;
    value[key] = built.value;
    written[key] = built.written;
  }
  if (place.must.some((key) => !(key in value))) return null;
  for (const key of place.empty) value[key] ??= [];
  return { value, written };
}

/** Where a member stands along what its list is ordered by, mm. */
function position(member: Node, orderedBy: string | null): number {
  const read = orderedBy === null ? undefined : member.children.get(orderedBy)?.read;
  return read ? (estimate(read.value as LengthReading)?.value ?? 0) : 0;
}

/**
 * Members in the order of what the list is ordered by, then of their numbers; beyond the list's room they are named and
 * left out.
 */
function buildList(at: Node, { item, most, orderedBy }: ListPlace, path: string, lists: Lists): Built {
  const whole = flatMap([...at.children], ([key, member]) => {
    const built = build(member, item, `${path}.${key}`, lists);
    return built ? [{ key, built, position: position(member, orderedBy) }] : [];
  }).sort((a, b) => a.position - b.position || Number(a.key) - Number(b.key));
  const there = whole.slice(0, most);
  for (const { key } of whole.slice(most)) lists.overflow.set(`${path}.${key}`, most);
  lists.members.set(
    path,
    there.map(({ key }) => key),
  );
  return { value: there.map(({ built }) => built.value), written: there.map(({ built }) => built.written) };
}

/** An entry as it was read, and the keys that lead to its place. */
interface ReadOnce {
  readonly keys: readonly string[];
  readonly read: ReturnType<typeof readEntry>;
}

/**
 * What entries were read as, for as long as they are kept: a key changes one of them, and the others need not be read
 * again.
 */
const READ = new WeakMap<Entry, ReadOnce>();

function readOnce(entry: Entry, reading: Reading | null): ReadOnce {
  const known = READ.get(entry);
  if (known) return known;
  const once = { keys: entry.path.split('.'), read: readEntry(entry, reading) };
  READ.set(entry, once);
  return once;
}

/**
 * Makes a bench sheet of what was typed. Each path counts once, with its last entry. Entries that cannot be read are
 * returned with their reason, never dropped in silence; groups that need several values (a span needs rivets and
 * length) wait outside the sheet until they are whole.
 * @param studies the shop's studies of hands and tools: those of the hands that measured here go with the sheet
 */
export function sheetFromEntries(entries: readonly EntryBy[], studies: readonly Study[] = []): EnteredSheet {
  const root = node();
  const hands = new Hands(studies);
  const refused: RefusedEntry[] = [];
  const latest = new Map(entries.map((entry) => [entry.path, entry]));
  for (const entry of latest.values()) {
    if (entry.text.trim() === '') continue;
    const reading = readingAt(entry.path);
    const { keys, read } = readOnce(hands.name(entry, reading), reading);
    if (read.ok) put(root, keys, read.value);
    else refused.push({ path: entry.path, text: entry.text, problem: read.error });
  }
  const lists: Lists = { members: new Map(), overflow: new Map() };
  const built = build(root, SHEET, '', lists)!;
  const head = { format: 'serrata-bench-sheet', version: 1 } as const;
  const used = [...hands.used];
  const keys = (edge: 'A' | 'B') => lists.members.get(`bar.edges.${edge}.stations`) ?? [];
  return {
    sheet: { ...head, ...(used.length > 0 ? { studies: used } : {}), ...(built.value as object) },
    written: { ...head, ...(used.length > 0 ? { studies: used.map(writtenStudy) } : {}), ...(built.written as object) },
    refused: [...refused, ...overflowing([...latest.values()], lists.overflow)],
    stationKeys: { A: keys('A'), B: keys('B') },
  };
}

/** What was typed, and who did. */
export type EntryBy = Entry & { readonly by?: string | undefined };

/** Names the hand of an entry where a study of it with its tool stands, and gathers the studies that were needed. */
class Hands {
  readonly used = new Set<Study>();
  private readonly counting: readonly Study[];

  constructor(studies: readonly Study[]) {
    this.counting = studiesThatCount(studies);
  }

  name(entry: EntryBy, reading: Reading | null): Entry {
    if (this.counting.length === 0) return entry;
    const tool = entry.instrument ?? (reading && usualToolOf(reading));
    const study = this.counting.find(({ by, instrument }) => by === entry.by && instrument === tool);
    if (!study) return entry;
    this.used.add(study);
    return { ...entry, hand: study.by };
  }
}

/** Entries of members that a list had no room for. */
function overflowing(entries: readonly Entry[], overflow: Lists['overflow']): readonly RefusedEntry[] {
  if (overflow.size === 0) return [];
  return flatMap(entries, ({ path, text }): RefusedEntry[] => {
    const over = [...overflow].find(([member]) => path === member || path.startsWith(`${member}.`));
    return over && text.trim() !== '' ? [{ path, text, problem: { code: 'list-full', most: over[1] } }] : [];
  });
}
