import { flatMap } from '../flat-map';
import type { Edge, ForeseenId } from '../declared';
import type { Part } from '../reading';
import type { Askable, BenchSheet } from '../sheet';

/** What earlier services let foresee of one thing on a part, for the day of this job. */
export interface Foreseen {
  readonly of: ForeseenId;
  readonly value: number;
  /** Standard uncertainty, above 0. */
  readonly u: number;
  /** Where on the bar it was worst, mm from the tail; null where that is not known, or there is no place. */
  readonly where: { readonly edge: Edge; readonly at: number } | null;
  /** Tag and day of the job that looked last; empty where nobody told. */
  readonly seen: string;
  readonly on: string;
}

/** Parts that are told again by their past. */
export type Returning = Exclude<Part, 'nose'>;
export const RETURNING: readonly Returning[] = ['bar', 'chain', 'driveSprocket'];

const ON_PART: Readonly<Record<ForeseenId, Returning>> = {
  'bar.depth': 'bar',
  'bar.play': 'bar',
  'chain.elongation': 'chain',
  'sprocket.wear': 'driveSprocket',
};

/** Which part something is foreseen of. */
export const partOf = ({ of }: Pick<Foreseen, 'of'>): Returning => ON_PART[of];

/** Where somebody says whether a part is the one of the last service. */
export const SAME = {
  bar: 'saw.sameBar',
  chain: 'saw.sameChain',
  driveSprocket: 'saw.sameSprocket',
} as const satisfies Readonly<Record<Returning, Askable>>;

/** Whether a part is the one of the last service; null while nobody has said so. */
export function isSame(part: Returning, { saw }: BenchSheet): boolean | null {
  const said = { bar: saw?.sameBar, chain: saw?.sameChain, driveSprocket: saw?.sameSprocket }[part];
  return said ?? null;
}

/** All that is foreseen on a sheet, whole; a figure without its doubt tells nothing. */
export const foreseenOn = ({ saw }: BenchSheet): readonly Foreseen[] =>
  flatMap(saw?.foreseen ?? [], ({ of, value, doubt, edge, at, seen = '', on = '' }): readonly Foreseen[] => {
    if (of === undefined || value === undefined || doubt === undefined || doubt <= 0) return [];
    const where = edge !== undefined && at !== undefined ? { edge, at } : null;
    return [{ of, value, u: doubt, where, seen, on }];
  });
