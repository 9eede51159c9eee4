import type { InstrumentId } from '../quantity';
import {
  placeAt,
  placeOf,
  readingsOf,
  type GroupIdsOf,
  type GroupPlace,
  type GroupsOf,
  type Part,
  type PathsOf,
  type Place,
  type Reading,
  type ReadingsOf,
} from '../reading';
import { sheetReadings, type WrittenReadings } from './bench-sheet';

/** A place of the sheet that holds one reading, members of a list by their number. */
export type ReadingPath = PathsOf<WrittenReadings>;
/** A group of readings, or a list. */
export type GroupPath = GroupsOf<WrittenReadings>;
/** Which group or list a place is, whatever edge or member it belongs to. */
export type GroupId = Exclude<GroupIdsOf<WrittenReadings>, ''>;
type Pairs = ReadingsOf<WrittenReadings>;
/** Which reading a place holds, whatever edge or member it belongs to. */
export type ReadingId = Pairs[0];
/** What may be written at a reading. */
export type WrittenAt<I extends ReadingId> = Extract<Pairs, readonly [I, unknown]>[1];

/** The sheet as places, worked out once. */
export const SHEET = placeOf(sheetReadings) as GroupPlace;

/** Every reading that the sheet has a place for, in its order. */
export const READINGS = readingsOf(SHEET) as readonly (Reading & { readonly id: ReadingId })[];

/** The reading at a path; null where the sheet has no such place, or a group and not a value. */
export function readingAt(path: string): Reading | null {
  const place = placeAt(SHEET, path);
  return place?.is === 'reading' ? place.reading : null;
}

/** Whether a text names a place that holds a reading. */
export const isReadingPath = (path: string): path is ReadingPath => readingAt(path) !== null;

/** Whether a place lies within a group. */
export function isWithin(path: string, group: GroupId): boolean {
  const keys = path.split('.');
  return group.split('.').every((key, i) => keys[i] === key);
}

/** What can be asked for and is no single place: a number of a part, or a reading wherever on the bar it is taken. */
export const SUBJECTS = {
  'bar.pitch': { begin: 'bar.stamp' },
  'bar.gauge': { begin: 'bar.stamp' },
  'bar.driveLinks': { begin: 'bar.stamp' },
  'chain.pitch': { begin: 'chain.span.rivets' },
  'chain.gauge': { begin: 'chain.driveLinkThickness' },
  'bar.edges.mouth': { begin: 'bar.edges.A.stations.0.mouth' },
  'bar.edges.deep': { begin: 'bar.edges.A.stations.0.deep' },
  'bar.edges.depth': { begin: 'bar.edges.A.stations.0.near' },
  'bar.after': { begin: 'bar.edges.A.stations.0.after.near' },
} as const satisfies Record<string, { readonly begin: ReadingPath }>;
export type Subject = keyof typeof SUBJECTS;

/** Anything that can be asked for: a reading, a group of them, or a subject. */
export type Askable = ReadingPath | GroupPath | Subject;

export const isSubject = (text: string): text is Subject => Object.hasOwn(SUBJECTS, text);

/** The place to begin with, of whatever is asked for. */
export function beginOf(asked: Askable): ReadingPath {
  if (isSubject(asked)) return SUBJECTS[asked].begin;
  return (firstWithin(placeAt(SHEET, asked), asked) ?? asked) as ReadingPath;
}

function firstWithin(place: Place | null, path: string): string | null {
  if (!place || place.is === 'reading') return place && path;
  if (place.is === 'list') return firstWithin(place.item, `${path}.0`);
  const key = place.told.leads ?? [...place.members.keys()][0]!;
  return firstWithin(place.members.get(key) ?? null, `${path}.${key}`);
}

/** Which reading, group or list a path leads to, whatever edge or member it belongs to. */
export function idAt(path: ReadingPath | GroupPath): ReadingId | GroupId {
  const place = placeAt(SHEET, path)!;
  return (place.is === 'reading' ? place.reading.id : place.id) as ReadingId | GroupId;
}

/** The tool that a length is usually measured with; null for anything else. */
export function usualToolAt(path: ReadingPath): InstrumentId | null {
  const kind = readingAt(path)?.kind;
  return kind?.kind === 'length' ? kind.spec.instrument : null;
}

/** Minutes where nothing is told of a reading. */
const USUAL_MINUTES = 1;

/** Minutes that a hand needs for what is asked for (shop's figures). */
export function minutesFor(asked: Askable): number {
  const place = placeAt(SHEET, isSubject(asked) ? SUBJECTS[asked].begin : asked);
  const told = place?.is === 'reading' ? place.reading.told : place?.told;
  return told?.minutes ?? USUAL_MINUTES;
}

/** A reading at a station of the bar: which edge, which station in the order of the sheet, and what of it. */
export interface AtStation {
  readonly edge: 'A' | 'B';
  readonly station: number;
  readonly field: string;
}

/** The path of a reading at a station. */
export const stationPath = <F extends string>(edge: 'A' | 'B', station: number, field: F) =>
  `bar.edges.${edge}.stations.${station}.${field}` as const;

/** Where on the bar a place lies; null for any place that is not at a station. */
export function stationOf(path: string): AtStation | null {
  const [bar, edges, edge, stations, station, ...field] = path.split('.');
  if (bar !== 'bar' || edges !== 'edges' || stations !== 'stations' || station === undefined) return null;
  if ((edge !== 'A' && edge !== 'B') || field.length === 0) return null;
  return { edge, station: Number(station), field: field.join('.') };
}

/** Verdicts that wait for readings: which, and what is asked for. */
export interface Need {
  readonly by: readonly Part[];
  readonly asks: Askable;
  /** Where it is looked for, first the place itself, then what does as well. */
  readonly ids: readonly string[];
  readonly enough: (value: unknown) => boolean;
  readonly nose: 'sprocket' | 'hard' | null;
}

const anything = (): boolean => true;

function needsWithin(place: Place, path: string): readonly Need[] {
  const { told, id } = place.is === 'reading' ? place.reading : place;
  const { needed, nose = null } = told;
  const own: readonly Need[] = needed
    ? [
        {
          by: needed.by,
          asks: (needed.asks ?? path) as Askable,
          ids: [place.is === 'reading' ? id : path, ...(needed.orElse ?? [])],
          enough: needed.enough ?? anything,
          nose,
        },
      ]
    : [];
  if (place.is === 'reading') return own;
  if (place.is === 'list') return [...own, ...needsWithin(place.item, `${path}.0`)];
  return [
    ...own,
    ...[...place.members].flatMap(([key, member]) => needsWithin(member, path === '' ? key : `${path}.${key}`)),
  ];
}

/** All that verdicts wait for, each thing asked for once. */
export const NEEDS: readonly Need[] = [...new Map(needsWithin(SHEET, '').map((need) => [need.asks, need])).values()];

/** All values that stand at a reading or a path, wherever on the sheet: members of lists and both edges each by itself. */
export function valuesAt(value: unknown, keys: readonly string[]): readonly unknown[] {
  if (value === undefined || value === null) return [];
  const [key, ...rest] = keys;
  if (key === undefined) return [value];
  if (Array.isArray(value))
    return /^\d+$/.test(key) ? valuesAt(value[Number(key)], rest) : value.flatMap((each) => valuesAt(each, keys));
  const group = value as Record<string, unknown>;
  if (key === 'stations' && !('stations' in group)) return ['A', 'B'].flatMap((edge) => valuesAt(group[edge], keys));
  return valuesAt(group[key], rest);
}
