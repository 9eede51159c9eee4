import { flatMap } from '../flat-map';
import type { Action } from '../sheet';
import type { Cause } from '../symptom';
import { faultOf, PRACTICE_PARTS, type FaultId, type PracticePart } from './faults';
import { shortestMinutes } from './minutes';
import type { ChainOrder, Truth } from './truth';

/** What a learner says of a set. */
export interface Said {
  readonly actions: Readonly<Partial<Record<PracticePart, Action>>>;
  readonly faults: readonly FaultId[];
  readonly causes: readonly Cause[];
  /** Whether the parts belong together; null where it was not said. */
  readonly belongs: boolean | null;
  /** The chain that was ordered; null where none was. */
  readonly order: ChainOrder | null;
  /** What the readings took. */
  readonly minutes: number;
  /** Parts that their readings leave open within their doubt: whatever is said of them is not wrong. */
  readonly open: readonly PracticePart[];
}

export type Mark = 'right' | 'wrong' | 'open' | 'not-said';

/** Of several things those that were named, those that were not, and what is none of them. */
export interface Named<T> {
  readonly found: readonly T[];
  readonly missed: readonly T[];
  readonly invented: readonly T[];
}

/**
 * What would have gone out of the door: a part that breaks, links that run on the floor of the groove, a chain that does
 * not run on its bar, one that kicks back more than the one that came, one that turns while the saw idles.
 */
export type Danger =
  | { readonly code: 'cracked' | 'contact'; readonly part: PracticePart }
  | { readonly code: 'does-not-belong' | 'stepped-down' | 'turns-at-idle' };

/** How a learner did, held against the making of the set: the judgement that they train for has no part in it. */
export interface Score {
  readonly parts: Readonly<Record<PracticePart, Mark>>;
  readonly belongs: Mark;
  readonly order: Mark;
  readonly faults: Named<FaultId>;
  readonly causes: Named<Cause>;
  readonly dangers: readonly Danger[];
  readonly minutes: { readonly taken: number; readonly shortest: number };
  /** 0…1. */
  readonly points: number;
}

function named<T>(truth: readonly T[], said: readonly T[]): Named<T> {
  const all = [...new Set(said)];
  return {
    found: truth.filter((each) => all.includes(each)),
    missed: truth.filter((each) => !all.includes(each)),
    invented: all.filter((each) => !truth.includes(each)),
  };
}

/** Found of all that was there or was invented; 1 where there was nothing and nothing was said. */
function shareOf<T>({ found, missed, invented }: Named<T>): number {
  const all = found.length + missed.length + invented.length;
  return all === 0 ? 1 : found.length / all;
}

function markOf(part: PracticePart, { actions }: Truth, said: Said): Mark {
  const action = said.actions[part];
  if (action === undefined) return 'not-said';
  if (said.open.includes(part)) return 'open';
  return action !== 'undecided' && actions[part].includes(action) ? 'right' : 'wrong';
}

/** Faults with which a part must not go out again, and what it does then. */
const DANGEROUS = {
  'bar-cracked': 'cracked',
  'chain-cracked': 'cracked',
  'rails-low': 'contact',
  dip: 'contact',
  'dip-behind-nose': 'contact',
} as const satisfies Partial<Record<FaultId, Danger['code']>>;

const isDangerous = (id: FaultId): id is keyof typeof DANGEROUS => Object.hasOwn(DANGEROUS, id);

/** Whether a part goes out on the saw again. */
const goesOut = (action: Action | undefined): boolean =>
  action !== undefined && action !== 'replace' && action !== 'undecided';

function dangersOf(truth: Truth, { actions, belongs, order, faults }: Said): readonly Danger[] {
  const out = flatMap(truth.faults, (id): Danger[] => {
    const { part } = faultOf(id);
    return isDangerous(id) && part && goesOut(actions[part]) ? [{ code: DANGEROUS[id], part }] : [];
  });
  const isSteppedDown = order?.kickback === 'standard' && truth.shape.kickback === 'low-kickback';
  return [
    ...out,
    ...(!truth.belongs && belongs === true ? [{ code: 'does-not-belong' } as const] : []),
    ...(truth.faults.includes('turns-at-idle') && !faults.includes('turns-at-idle')
      ? [{ code: 'turns-at-idle' } as const]
      : []),
    ...(isSteppedDown ? [{ code: 'stepped-down' } as const] : []),
  ];
}

const isSameChain = (one: ChainOrder, other: ChainOrder): boolean =>
  one.family === other.family &&
  one.gauge === other.gauge &&
  one.driveLinks === other.driveLinks &&
  one.kickback === other.kickback;

/** What is ordered hangs on what was said of the chain: with a bar that is renewed, either may follow the other. */
function orderMark({ order: right, actions, belongs }: Truth, { order }: Said): Mark {
  if (!belongs && actions.bar.includes('replace') && !actions.chain.includes('replace')) return 'open';
  if (right === null) return order === null ? 'right' : 'wrong';
  if (order === null) return 'not-said';
  return isSameChain(right, order) ? 'right' : 'wrong';
}

/** What each counts of the whole. */
const WEIGHTS = { parts: 0.45, belongs: 0.1, order: 0.1, faults: 0.15, causes: 0.1, minutes: 0.1 } as const;

/** Whoever lets something dangerous out gets no more than this, whatever else was right. */
const MOST_WITH_DANGER = 0.4;

/** Share of the parts that were called right; what is open counts neither way. */
function partsShare(marks: readonly Mark[]): number {
  const counting = marks.filter((mark) => mark !== 'open');
  return counting.length === 0 ? 1 : counting.filter((mark) => mark === 'right').length / counting.length;
}

/** Scores what a learner said of a set. Minutes count only as far as the parts were called right: haste earns nothing. */
export function score(truth: Truth, said: Said): Score {
  const parts = Object.fromEntries(PRACTICE_PARTS.map((part) => [part, markOf(part, truth, said)])) as Score['parts'];
  const belongs: Mark = said.belongs === null ? 'not-said' : said.belongs === truth.belongs ? 'right' : 'wrong';
  const [faults, causes] = [named(truth.faults, said.faults), named(truth.causes, said.causes)];
  const order = orderMark(truth, said);
  const dangers = dangersOf(truth, said);
  const minutes = { taken: said.minutes, shortest: shortestMinutes(truth) };
  const called = partsShare(Object.values(parts));
  const points =
    WEIGHTS.parts * called +
    WEIGHTS.belongs * Number(belongs === 'right') +
    WEIGHTS.order * Number(order === 'right' || order === 'open') +
    WEIGHTS.faults * shareOf(faults) +
    WEIGHTS.causes * shareOf(causes) +
    WEIGHTS.minutes * called * (minutes.taken <= minutes.shortest ? 1 : minutes.shortest / minutes.taken);
  return {
    ...{ parts, belongs, order, faults, causes, dangers, minutes },
    points: dangers.length > 0 ? Math.min(MOST_WITH_DANGER, points) : points,
  };
}
