import { flatMap } from '../flat-map';
import type { Declaration, Kind, Shape } from './declare';
import { isMember, isSide } from './place';
import type { Told } from './told';

/** A reading: what it is, and all that is told of it. */
export interface Reading {
  /** Which one, whatever edge or member of a list: `bar.edges.stations.near`. */
  readonly id: string;
  readonly kind: Kind;
  readonly told: Told;
}

/** A place of the sheet: one reading, a group of them, or a list. */
export type Place = ReadingPlace | GroupPlace | ListPlace;

export interface ReadingPlace {
  readonly is: 'reading';
  readonly reading: Reading;
}

export interface GroupPlace {
  readonly is: 'group';
  readonly id: string;
  readonly told: Told;
  readonly members: ReadonlyMap<string, Place>;
  /** Members without which the group says nothing. */
  readonly must: readonly string[];
  /** Lists that stand, empty, where nothing is said of them. */
  readonly empty: readonly string[];
}

export interface ListPlace {
  readonly is: 'list';
  readonly id: string;
  readonly told: Told;
  readonly item: Place;
  readonly most: number;
  /** The reading that members stand in order by; else by their numbers. */
  readonly orderedBy: string | null;
}

/** What holds for all within: not what is meant, needed, idle or led to, which is said of one thing only. */
function handedDown({ minutes, setUp, step, view, nose }: Told): Told {
  return {
    ...(setUp === undefined ? {} : { setUp }),
    ...(minutes === undefined ? {} : { minutes }),
    ...(step === undefined ? {} : { step }),
    ...(view === undefined ? {} : { view }),
    ...(nose === undefined ? {} : { nose }),
  };
}

/** Reads a declaration as places, each with what is told of it and of the groups around it. */
export function placeOf(declaration: Declaration, id = '', around: Told = {}): Place {
  const told = { ...around, ...declaration.told };
  if (declaration.is === 'reading') return { is: 'reading', reading: { id, kind: declaration.kind, told } };
  const below = handedDown(told);
  if (declaration.is === 'list') {
    const { most, orderedBy } = declaration;
    return { is: 'list', id, told, item: placeOf(declaration.item as Declaration, id, below), most, orderedBy };
  }
  const members = Object.entries(declaration.shape as Shape);
  const idOf = (key: string) => (isSide(key) ? id : id === '' ? key : `${id}.${key}`);
  return {
    is: 'group',
    id,
    told,
    members: new Map(members.map(([key, member]) => [key, placeOf(member, idOf(key), below)])),
    must: declaration.must as readonly string[],
    empty: flatMap(members, ([key, member]) => (member.is === 'list' && member.standsEmpty ? [key] : [])),
  };
}

/**
 * The place that a path such as `bar.edges.A.stations.2.near` leads to; null where there is none. Nothing is remembered
 * of what strangers ask for.
 */
export function placeAt(root: Place, path: string): Place | null {
  let at: Place | undefined = root;
  for (const key of path.split('.')) {
    if (at?.is === 'group') at = at.members.get(key);
    else if (at?.is === 'list' && isMember(key)) at = at.item;
    else return null;
  }
  return at ?? null;
}

/** All readings of a place in their order, each once. */
export function readingsOf(place: Place): readonly Reading[] {
  if (place.is === 'reading') return [place.reading];
  if (place.is === 'list') return readingsOf(place.item);
  const all = flatMap([...place.members.values()], readingsOf);
  return [...new Map(all.map((reading) => [reading.id, reading])).values()];
}
