import type { InstrumentId } from '../quantity';
import {
  placeAt,
  placeOf,
  readingsOf,
  type GroupIdsOf,
  type FindingsOf,
  type JudgedOf,
  type GroupPlace,
  type GroupsOf,
  type PathsOf,
  type Place,
  type Reading,
  type ReadingsOf,
  type SetUp,
  type Told,
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
type Findings = FindingsOf<typeof sheetReadings>;
/** A reading that is judged by the word it was given. */
export type SeenId = Findings[0];
/** The check that such a reading makes. */
export type SeenCheckId = Findings[1];
type JudgedLengths = JudgedOf<typeof sheetReadings>;
/** A length that is judged by itself, against a limit of its own. */
export type JudgedId = JudgedLengths[0];
/** The check that such a length makes. */
export type JudgedCheckId = JudgedLengths[1]['check'];
/** The check that one of them makes. */
export type JudgedCheckAt<I extends JudgedId> = Extract<JudgedLengths, readonly [I, unknown]>[1]['check'];
/** The limits that are told with one of them. */
export type JudgedLimitsAt<I extends JudgedId> = Extract<JudgedLengths, readonly [I, unknown]>[1]['limits'];
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
  'bar.edges.square': { begin: 'bar.edges.A.stations.0.square' },
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
export const usualToolOf = ({ kind }: Reading): InstrumentId | null =>
  kind.kind === 'length' ? kind.spec.instrument : null;

/** The same for the reading at a path. */
export function usualToolAt(path: ReadingPath): InstrumentId | null {
  const reading = readingAt(path);
  return reading && usualToolOf(reading);
}

/** Minutes where nothing is told of a reading. */
const USUAL_MINUTES = 1;

/** Minutes that a hand needs for what is asked for (shop's figures). */
export function minutesFor(asked: Askable): number {
  return toldOf(asked).minutes ?? USUAL_MINUTES;
}

/** What is told of whatever is asked for. */
const toldOf = (asked: Askable): Told => {
  const place = placeAt(SHEET, isSubject(asked) ? SUBJECTS[asked].begin : asked);
  return (place?.is === 'reading' ? place.reading.told : place?.told) ?? {};
};

/** Where nothing is told of it a reading decides now and then. */
const SELDOM = 0.03;

/** How often a reading decides, of parts of which nothing is known yet (shop's figures). */
export const decidesFor = (asked: Askable): number => toldOf(asked).decides ?? SELDOM;

/** What must be at hand before a reading is taken; null where nothing must. */
export const setUpFor = (asked: Askable): SetUp | null => toldOf(asked).setUp ?? null;
