import {
  idAt,
  isReadingPath,
  isSubject,
  type Askable,
  type GroupId,
  type GroupPath,
  type ReadingId,
  type ReadingPath,
  type Subject,
} from '../../core/sheet';
import { stationOf } from '../../core/declared';
import { nameOfReading, PLACE_NAMES } from './readings';

const SUBJECTS: Readonly<Record<Subject, string>> = {
  'bar.pitch': 'pitch of the bar',
  'bar.gauge': 'gauge of the bar',
  'bar.driveLinks': 'drive links the bar is for',
  'chain.pitch': 'pitch of the chain',
  'chain.gauge': 'gauge of the chain',
  'bar.edges.mouth': 'groove width at one station',
  'bar.edges.deep': 'groove near the floor, at a station',
  'bar.edges.depth': 'depths of the rails',
  'bar.edges.square': 'square on the rails',
  'bar.after': 'the second measurement, after the rework',
};

const ORDINALS: readonly string[] = ['first', 'second', 'third', 'fourth', 'fifth'];

/** A member of a list, or something of an edge: which one is said before it. */
function withItsPlace(asked: ReadingPath | GroupPath, at: string | null): string | null {
  const station = stationOf(asked);
  const name = nameOf(asked);
  if (station)
    return at === null
      ? `edge ${station.edge}, station ${station.station + 1}, ${name}`
      : `edge ${station.edge} at ${at}, ${name}`;
  const keys = asked.split('.');
  const edge = keys.find((key) => key === 'A' || key === 'B');
  if (edge) return keys.at(-1) === 'stands' ? `the clean bar stood on edge ${edge}` : `${name}, edge ${edge}`;
  const member = Number(keys.at(-1));
  if (keys.length < 2 || Number.isNaN(member)) return null;
  if (idAt(asked) === 'chain.driveLinks') return `${ORDINALS[member] ?? `${member + 1}th`} count`;
  return `${name}, number ${member + 1}`;
}

/** What stands at a place, without which member of a list or edge it is. */
const nameOf = (asked: ReadingPath | GroupPath): string =>
  isReadingPath(asked) ? nameOfReading(idAt(asked) as ReadingId) : PLACE_NAMES[idAt(asked) as GroupId];

/** Says what is asked for in words; stations and members of a list are counted from 1. */
export const readingName = (asked: Askable): string => readingNameAt(asked, null);

/**
 * The same of a station whose position is known: people know it by that.
 * @param at how far from the tail it lies, as it is written; null where nobody knows
 */
export const readingNameAt = (asked: Askable, at: string | null): string =>
  isSubject(asked) ? SUBJECTS[asked] : (withItsPlace(asked, at) ?? nameOf(asked));

/**
 * What is asked for as the assessment document writes it, which has always had a short form for readings at a station.
 */
export function writtenPlace(asked: Askable): string {
  const station = stationOf(asked);
  return station ? `bar.${station.edge}.${station.station}.${station.field}` : asked;
}
