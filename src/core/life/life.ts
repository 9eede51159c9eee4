import { flatMap } from '../flat-map';
import type { Limits } from '../limits';
import { backtest, type Backtest } from './backtest';
import { byDay, reachOf, type Reach, type Use } from './forecast';
import { goingOnFrom, wearLine, type Look, type Rate, type WearLine } from './line';
import { marksOfPiece } from './is-other';
import type { Piece, Seen, Visit } from './piece';
import { usualRate, WEARS, wearsOf, type WearId, type WornValue } from './wear';

/** One point of a life: a value at a moment, and the running hours of the piece by then. */
export interface LifePoint extends WornValue {
  readonly jobId: string;
  readonly tag: string;
  readonly at: string;
  readonly hours: number;
  /** Whether it was measured again, after work. */
  readonly after: boolean;
}

/** How one thing wears on a piece. */
export interface WearLife {
  readonly wear: WearId;
  readonly points: readonly LifePoint[];
  /** The limit in force; null where it hangs on what is not known of the piece. */
  readonly limit: number | null;
  readonly line: WearLine;
  /** What such pieces lose or gain an hour: the line leans on it, the more the fewer looks there are. */
  readonly usual: Rate;
  /** Hours from the last look until the limit is reached; null without a limit. */
  readonly reach: Reach | null;
  /** The same in days. */
  readonly days: Reach | null;
  /** How well each look was foreseen from those before it. */
  readonly backtest: Backtest;
}

/** The life of a piece, as far as it was measured. */
export interface PieceLife {
  readonly piece: Piece;
  /** Running hours from the day it was known until its last look. */
  readonly hours: { readonly value: number; readonly u: number };
  /** How much it runs: as its saw, or its share of that where pieces go in turn. */
  readonly use: Use;
  /** Whether somebody told how much the saw runs; else it is thought to run as saws do. */
  readonly isTold: boolean;
  readonly wears: readonly WearLife[];
}

const MS_PER_WEEK = 7 * 24 * 3600 * 1000;
/** Weeks from one moment to another; none where the clock was set back. */
export const weeksBetween = (from: string, until: string): number =>
  Math.max(0, (Date.parse(until) - Date.parse(from)) / MS_PER_WEEK);

/** Hours a week, as told, with how far off what people tell may be; else as saws usually run. */
function useOf(told: number | null, limits: Limits): Use {
  if (told !== null && told > 0) return { hoursPerWeek: told, u: told * (limits['life.hours'].value / 100) };
  const usual = limits['life.week'].value;
  return { hoursPerWeek: usual, u: usual * (limits['life.week.spread'].value / 100) };
}

/** How a saw ran between two jobs: as told at the later, else at the earlier. */
const useBetween = (before: Visit | null, after: Visit, limits: Limits): Use =>
  useOf(after.facts.hoursPerWeek ?? before?.facts.hoursPerWeek ?? null, limits);

/** What a piece runs of what its saw does: pieces that go in turn share its hours. */
const shared = ({ hoursPerWeek, u }: Use, { turns }: Piece): Use => ({
  hoursPerWeek: hoursPerWeek / turns,
  u: u / turns,
});

/** Running hours of the piece before each look. */
function gapsOf(piece: Piece, limits: Limits): readonly { readonly hours: number; readonly u: number }[] {
  const { since, seen } = piece;
  return seen.map(({ visit }, i) => {
    const before = seen[i - 1]?.visit ?? null;
    // The saw stood in the shop until it went.
    const from = before ? (before.went ?? before.came) : since;
    const { hoursPerWeek, u } = shared(useBetween(before, visit, limits), piece);
    const weeks = weeksBetween(from, visit.came);
    return { hours: weeks * hoursPerWeek, u: weeks * u };
  });
}

/** What was measured again after work, of one look. */
const afterWork = ({ went }: Seen, wear: WearId): WornValue | null => went[wear] ?? null;

/** What was measured of one thing on a piece, as it came each time, and as it stood after work. */
function measuredOf(wear: WearId, piece: Piece, limits: Limits) {
  const gaps = gapsOf(piece, limits);
  const looks: Look[] = [];
  const points: LifePoint[] = [];
  let [hours, gap, variance] = [0, 0, 0];
  for (const [i, seen] of piece.seen.entries()) {
    hours += gaps[i]!.hours;
    gap += gaps[i]!.hours;
    variance += gaps[i]!.u ** 2;
    const { jobId, tag, came, went } = seen.visit;
    const [first, again] = [seen.came[wear], afterWork(seen, wear)];
    if (first) {
      looks.push({ value: first.value, u: first.u, gap, gapU: Math.sqrt(variance) });
      points.push({ ...first, jobId, tag, at: came, hours, after: false });
      [gap, variance] = [0, 0];
    }
    if (again) points.push({ ...again, jobId, tag, at: went ?? came, hours, after: true });
  }
  return { looks, points };
}

/** How fast one thing wears on a piece, by its own records alone; null where they do not tell. */
export function ownRate(wear: WearId, piece: Piece, limits: Limits): Rate | null {
  const { looks } = measuredOf(wear, piece, limits);
  const ran = looks.slice(1).some(({ gap }) => gap > 0);
  return ran ? wearLine(looks, null).rate : null;
}

function wearLife(wear: WearId, piece: Piece, use: Use, limits: Limits): WearLife | null {
  const { looks, points } = measuredOf(wear, piece, limits);
  if (looks.length === 0) return null;
  const usual = usualRate(wear, limits);
  const through = wearLine(looks, usual);
  const last = points.at(-1)!;
  const line = last.after ? goingOnFrom(through, { value: last.value, u: last.u }) : through;
  const { side, limit: inForce } = WEARS[wear];
  const limit = inForce(limits, marksOfPiece(piece));
  return {
    wear,
    points,
    limit,
    line,
    usual,
    reach: limit === null ? null : reachOf(line, limit, side),
    days: limit === null ? null : reachOf(byDay(line, use), limit, side),
    backtest: backtest(looks, usual),
  };
}

/**
 * The life of a piece: what was measured of it from job to job over its running hours, how fast it wears, and when its
 * limits are reached. Work that was done is part of its wear: a bar that is dressed loses metal so.
 */
export function lifeOf(piece: Piece, limits: Limits): PieceLife {
  const told = piece.seen.findLast(({ visit }) => visit.facts.hoursPerWeek !== null)?.visit.facts.hoursPerWeek ?? null;
  const use = shared(useOf(told, limits), piece);
  const gaps = gapsOf(piece, limits);
  return {
    piece,
    hours: {
      value: gaps.reduce((sum, { hours }) => sum + hours, 0),
      u: Math.sqrt(gaps.reduce((sum, { u }) => sum + u ** 2, 0)),
    },
    use,
    isTold: told !== null && told > 0,
    wears: flatMap(wearsOf(piece.part), (wear) => wearLife(wear, piece, use, limits) ?? []),
  };
}

/** What ends a piece first: the limit that is reached soonest; null where none can be told. */
export function firstReached({ wears }: PieceLife): WearLife | null {
  return wears.reduce<WearLife | null>((first, each) => {
    const [one, other] = [first?.reach?.middle ?? null, each.reach?.middle ?? null];
    return other !== null && (one === null || other < one) ? each : first;
  }, null);
}
