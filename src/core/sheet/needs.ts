import { flatMap } from '../flat-map';
import type { Part, Place } from '../reading';
import type { BenchSheet } from './bench-sheet';
import { beginOf, idAt, isSubject, SHEET, type Askable } from './places';

/** Verdicts that wait for readings: which, and what is asked for. */
export interface Need {
  readonly by: readonly Part[];
  readonly asks: Askable;
  /** Where it is looked for, first the place itself, then what does as well: each by its keys. */
  readonly places: readonly (readonly string[])[];
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
          places: [place.is === 'reading' ? id : path, ...(needed.orElse ?? [])].map((each) => each.split('.')),
          enough: needed.enough ?? anything,
          nose,
        },
      ]
    : [];
  if (place.is === 'reading') return own;
  if (place.is === 'list') return [...own, ...needsWithin(place.item, `${path}.0`)];
  return [
    ...own,
    ...flatMap([...place.members], ([key, member]) => needsWithin(member, path === '' ? key : `${path}.${key}`)),
  ];
}

/** All that verdicts wait for, each thing asked for once. */
export const NEEDS: readonly Need[] = [...new Map(needsWithin(SHEET, '').map((need) => [need.asks, need])).values()];

/** Whether something stands where it is asked for, wherever on the bar a subject may be read. */
export const isThere = (sheet: BenchSheet, asked: Askable): boolean =>
  valuesAt(sheet, (isSubject(asked) ? idAt(beginOf(asked)) : asked).split('.')).some(
    (value) => !Array.isArray(value) || value.length > 0,
  );

/**
 * All values that stand at a reading or a path, wherever on the sheet: members of lists and both edges each by itself.
 */
export function valuesAt(value: unknown, keys: readonly string[]): readonly unknown[] {
  if (value === undefined || value === null) return [];
  const [key, ...rest] = keys;
  if (key === undefined) return [value];
  if (Array.isArray(value))
    return /^\d+$/.test(key) ? valuesAt(value[Number(key)], rest) : flatMap(value, (each) => valuesAt(each, keys));
  const group = value as Record<string, unknown>;
  if (key === 'stations' && !('stations' in group)) return flatMap(['A', 'B'], (edge) => valuesAt(group[edge], keys));
  return valuesAt(group[key], rest);
}

/** A length as it stands, or a group of lengths that are taken together. */
interface Taken {
  readonly repeats?: readonly unknown[];
}

/** How often what stands at a reading was read, wherever it was read oftenest; of a group its members count. */
export function timesRead(sheet: BenchSheet, asked: Askable): number {
  const timesOf = (taken: Taken): number =>
    taken.repeats?.length ??
    Math.max(0, ...Object.values(taken).map((member) => (member as Taken | undefined)?.repeats?.length ?? 0));
  return Math.max(0, ...valuesAt(sheet, asked.split('.')).map((taken) => timesOf(taken as Taken)));
}
