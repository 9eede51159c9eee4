import { flatMap } from '../flat-map';
import { minutesOf } from '../next';
import { stationOf } from '../declared';
import { toolsAt, type InstrumentId } from '../quantity';
import { isWithin, minutesFor, readingAt, type Askable, type Entry, type ReadingPath } from '../sheet';
import type { Step } from '../reading';
import { answer, everything } from './answer';
import { faultOf, PRACTICE_PARTS, type FaultId, type PracticePart } from './faults';
import { needsFor } from './minutes';
import { CUT_PATHS } from './test-cut';
import type { Truth } from './truth';

/** What a learner reads of a set next. */
export interface Question {
  readonly path: ReadingPath;
  /** Where along an edge the station lies, mm from the tail; null elsewhere. */
  readonly at: number | null;
  /** The tool in hand; null for the usual one. */
  readonly instrument: InstrumentId | null;
}

/** A question that was asked, what it came to, and what it took. */
export interface Taken extends Question {
  /** All that is seen in one go; empty where the set has nothing there. */
  readonly entries: readonly Entry[];
  readonly minutes: number;
}

/** What is read in one go: a row, a span, the two rails of a station. */
const TOGETHER = [
  'chain.pushPull',
  'chain.span',
  'chain.damage',
  'chain.cuttersLeft',
  'chain.cuttersRight',
  'chain.depthGaugesLeft',
  'chain.depthGaugesRight',
  'proof.cut',
] as const satisfies readonly Askable[];

const RAIL_FIELDS: readonly string[] = ['at', 'near', 'far'];

/** What a place is read together with, and is paid for with. */
export function togetherWith(path: ReadingPath): Askable {
  const group = TOGETHER.find((each) => isWithin(path, each));
  if (group) return group;
  const station = stationOf(path);
  return station && RAIL_FIELDS.includes(station.field)
    ? (`bar.edges.${station.edge}.stations.${station.station}.near` as const)
    : path;
}

/** The places that one look or one setting of the tool tells of. */
function placesOf(truth: Truth, path: ReadingPath): readonly ReadingPath[] {
  const together = togetherWith(path);
  const station = stationOf(together);
  if (station?.field === 'near')
    return RAIL_FIELDS.map((field) => `bar.edges.${station.edge}.stations.${station.station}.${field}` as ReadingPath);
  if (together === 'proof.cut') return CUT_PATHS;
  const group = TOGETHER.find((each) => each === together);
  return group ? flatMap(everything(truth), (ask) => (isWithin(ask.path, group) ? [ask.path] : [])) : [path];
}

/** A tool with which a place is read; another one is laid down again. */
function toolFor(path: ReadingPath, instrument: InstrumentId | null): InstrumentId | null {
  const reading = readingAt(path);
  if (reading?.kind.kind !== 'length' || instrument === null) return null;
  return toolsAt(reading.kind.spec.kind, reading.id).includes(instrument) ? instrument : null;
}

/** What all that was read took, each set-up counted while it lasts. */
export const minutesTaken = (taken: readonly Pick<Question, 'path'>[]): number =>
  minutesOf(
    taken.map(({ path }) => {
      const measure = togetherWith(path);
      return { measure, minutes: minutesFor(measure) };
    }),
  );

/** Reads a place of a set, after all that was read before. */
export function take(truth: Truth, before: readonly Taken[], { path, at, instrument }: Question): Taken {
  const together = togetherWith(path);
  const again = before.filter((each) => togetherWith(each.path) === together).length;
  const entries = flatMap(
    placesOf(truth, path),
    (place) => answer(truth, { path: place, at, instrument: toolFor(place, instrument), before: again }) ?? [],
  );
  return { path, at, instrument, entries, minutes: minutesNext(before, path) };
}

/** Every reading of a set as it is, without any error: what nobody sees before the answer. */
export const asMade = (truth: Truth): readonly Taken[] =>
  flatMap(everything(truth), (ask): Taken[] => {
    const entry = answer(truth, ask, true);
    const { path, at } = ask;
    return entry ? [{ path, at, instrument: null, entries: [entry], minutes: 0 }] : [];
  });

/** Whether a place was read before. */
export const isAsked = (path: ReadingPath, taken: readonly Taken[]): boolean =>
  taken.some((each) => togetherWith(each.path) === togetherWith(path));

/** Minutes that reading a place takes after all that was read before. */
export const minutesNext = (taken: readonly Pick<Question, 'path'>[], path: ReadingPath): number =>
  minutesTaken([...taken, { path }]) - minutesTaken(taken);

/** What one reading that was not taken would have told. */
export interface Untold {
  readonly asked: Askable;
  readonly fault: FaultId;
}

const isTaken = (asked: Askable, taken: readonly Taken[]): boolean =>
  taken.some(({ path }) => togetherWith(path) === asked || isSameKind(asked, path));

/** A reading wherever it is taken: a mouth at any station, the depth of any. */
const ANYWHERE: Readonly<Partial<Record<Askable, readonly string[]>>> = {
  'bar.edges.mouth': ['mouth'],
  'bar.edges.deep': ['deep'],
  'bar.edges.depth': ['near', 'far'],
  'bar.edges.square': ['square'],
};

function isSameKind(asked: Askable, path: ReadingPath): boolean {
  const station = stationOf(path);
  if (!station) return asked === 'chain.driveLinks' && readingAt(path)?.id === asked;
  const fields = ANYWHERE[asked];
  if (fields) return fields.includes(station.field);
  return asked === `bar.edges.${station.edge}.stations` && RAIL_FIELDS.includes(station.field);
}

/** What is wrong with a set and could have been read, but was not. */
export const untold = ({ faults }: Truth, taken: readonly Taken[]): readonly Untold[] =>
  flatMap(faults, (fault) =>
    faultOf(fault)
      .shownBy.filter((asked) => !isTaken(asked, taken))
      .map((asked) => ({ asked, fault })),
  );

/** Steps whose readings tell of the whole: the numbers of the loop, and the test cut. */
const TELLS_OF_ALL: readonly (Step | undefined)[] = ['identify', 'prove'];

/** What was read and could decide nothing: it is on no card, tells no number of the loop and shows no fault; each once. */
export function forNothing(truth: Truth, taken: readonly Taken[]): readonly Askable[] {
  const decides = flatMap(PRACTICE_PARTS, (part) => needsFor(part, truth));
  const idle = taken.filter(
    (one) => !TELLS_OF_ALL.includes(readingAt(one.path)?.told.step) && !decides.some((asked) => isTaken(asked, [one])),
  );
  return [...new Set(idle.map(({ path }) => togetherWith(path)))];
}

/** Whether all was read by which a part is decided: what is not decided then is left open by the doubt alone. */
export const isAllRead = (part: PracticePart, truth: Truth, taken: readonly Taken[]): boolean =>
  needsFor(part, truth).every((asked) => isTaken(asked, taken));
