import { flatMap } from '../flat-map';
import { believedAlike, manyWithin, shortestOf, type Alike } from '../belief';
import {
  quadrature,
  mm,
  ownUncertainty,
  percent,
  sameTool,
  type Bounds,
  type Estimate,
  type Within,
} from '../quantity';

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** Lengths of the cutters of each side as read, in their order; numbers of damage refer to them. */
export type Cutters = Readonly<Record<Side, readonly Bounds[]>>;

/** Damage that must be filed back: on which cutter (numbered from 1), and how far. */
export interface Damage {
  readonly side: Side;
  readonly cutter: number;
  readonly setBack: Bounds;
}

/** What correcting the angle takes off every cutter of a side. */
export type SideSetBack = Readonly<Partial<Record<Side, Estimate>>>;

/** One cutter as long as it may be left, from below and from above. */
interface Piece {
  readonly side: Side;
  readonly cutter: number;
  readonly lo: Alike | null;
  readonly hi: Alike | null;
}

/** The cutter that pulls everyone back, and how long all will be. */
export interface Correction {
  readonly side: Side;
  readonly cutter: number;
  /** Length of the shortest after correction, over all cutters together. */
  readonly length: Estimate;
  /** Whether that length is known from both sides, or is a bound. */
  readonly bound: 'at-least' | 'at-most' | null;
  /** Damage whose own cutter's side was not measured: it was taken off the shortest of the other side. */
  readonly notPlaced: Side | null;
  readonly pieces: readonly Piece[];
  /** Tool error that all lengths have in common, mm. */
  readonly common: number;
  readonly tool: Estimate['tool'];
}

const alike = (bound: Estimate | null): Alike | null => bound && { value: bound.value, own: ownUncertainty(bound) };

/** What each side's measured cutters are believed to be, from all of them; a bound stays what it is. */
function believed(side: Side, lengths: readonly Bounds[]): readonly Piece[] {
  const whole = lengths.filter(({ lo, hi }) => lo && lo === hi);
  const drawn = new Map(whole.map((bounds, i) => [bounds, believedAlike(whole.map(({ lo }) => alike(lo)!))[i]!]));
  return lengths.map((bounds, i) => {
    const piece = drawn.get(bounds);
    return { side, cutter: i + 1, lo: piece ?? alike(bounds.lo), hi: piece ?? alike(bounds.hi) };
  });
}

const less = (length: Alike | null, off: Estimate | null): Alike | null =>
  length && off && { value: length.value - off.value, own: quadrature(length.own, ownUncertainty(off)) };

const exact = (length: number): Estimate => ({ value: mm(length), u: 0 });

function angled(piece: Piece, angles: SideSetBack): Piece {
  const off = angles[piece.side];
  return off ? { ...piece, lo: less(piece.lo, off), hi: less(piece.hi, off) } : piece;
}

const value = ({ lo, hi }: Piece): number => (hi ?? lo)?.value ?? Infinity;
const shorter = (a: Piece, b: Piece): Piece => (value(b) < value(a) ? b : a);

/** The cutter that damage is on: its own, or the shortest of its side, or of the other side where its own was not measured. */
export function onCutter<T>(
  { side, cutter }: Pick<Damage, 'side' | 'cutter'>,
  pieces: Readonly<Record<Side, readonly T[]>>,
  shorterOf: (a: T, b: T) => T,
): T | null {
  const own = pieces[side][cutter - 1];
  if (own) return own;
  const others = pieces[side].length > 0 ? pieces[side] : pieces[side === 'left' ? 'right' : 'left'];
  return others.length > 0 ? others.reduce(shorterOf) : null;
}

/**
 * Length all cutters must be filed to: the least of (length − set-back), one question of all cutters. Damage on a cutter whose length was not measured is taken off the
 * shortest of its side, or of the other where nothing of its side was: the cautious reading. What an angle takes comes off beside the damage: a chip at the inner end of the edge is
 * reached only after the point has gone back by both.
 * @param sharpening what a filing takes off a cutter that has no damage to be filed out, mm; filing damage out sharpens
 * @returns null when no cutter was measured
 */
export function lengthAfterCorrection(
  cutters: Cutters,
  damage: readonly Damage[],
  angles: SideSetBack = {},
  sharpening = 0,
): Correction | null {
  const sides = { left: believed('left', cutters.left), right: believed('right', cutters.right) };
  const standing = [...sides.left, ...sides.right];
  if (standing.length === 0) return null;
  const filed = flatMap(damage, (each): Piece[] => {
    const on = onCutter(each, sides, shorter);
    return on
      ? [{ side: each.side, cutter: each.cutter, lo: less(on.lo, each.setBack.hi), hi: less(on.hi, each.setBack.lo) }]
      : [];
  });
  const sharpened = standing.map((piece) => ({
    ...piece,
    lo: less(piece.lo, exact(sharpening)),
    hi: less(piece.hi, exact(sharpening)),
  }));
  const pieces = [...sharpened, ...filed].map((piece) => angled(piece, angles));
  const worst = pieces.reduce(shorter);
  const readings = flatMap([...cutters.left, ...cutters.right], ({ lo, hi }) => lo ?? hi ?? []);
  const common = Math.max(0, ...readings.map(({ shared = 0 }) => shared));
  const isWhole = pieces.every(({ lo, hi }) => lo && hi);
  const shown = flatMap(pieces, ({ lo, hi }) => hi ?? lo ?? []);
  return {
    side: worst.side,
    cutter: worst.cutter,
    length: shortestOf(shown, common)!,
    bound: isWhole ? null : worst.hi ? 'at-most' : 'at-least',
    notPlaced: damage.find(({ side }) => cutters[side].length === 0)?.side ?? null,
    pieces,
    common,
    tool: readings[0]?.tool,
  };
}

/** How likely all cutters end at or above the limit, one question of all. The mark was measured too: with one tool its own error cancels. */
export function correctionWithin({ pieces, common, tool }: Correction, limit: Estimate): Within {
  const cancels = sameTool({ value: mm(0), u: 0, ...(tool ? { tool } : {}) }, limit);
  const together = cancels ? ownUncertainty(limit) : quadrature(common, limit.u);
  const side = (which: 'lo' | 'hi') => flatMap(pieces, (piece) => piece[which] ?? []);
  const [lo, hi] = [side('lo'), side('hi')];
  return {
    least: lo.length < pieces.length ? 0 : manyWithin(lo, together, limit.value),
    most: hi.length === 0 ? 1 : manyWithin(hi, together, limit.value),
  };
}

/** How much of a cutter its damage would take, percent of its length. */
export interface ShareGoing {
  readonly side: Side;
  readonly cutter: number;
  readonly share: Estimate<'%'>;
}

const middle = ({ lo, hi }: Bounds): Estimate | null => lo ?? hi;
const shorterBounds = (a: Bounds, b: Bounds): Bounds =>
  (middle(b)?.value ?? Infinity) < (middle(a)?.value ?? Infinity) ? b : a;

/** The cutter that loses the greatest share of its length to its damage; null where there is none, or no length to hold it against. */
export function greatestShare(cutters: Cutters, damage: readonly Damage[]): ShareGoing | null {
  const shares = flatMap(damage, ({ side, cutter, setBack }): ShareGoing[] => {
    const on = onCutter({ side, cutter }, cutters, shorterBounds);
    const [length, off] = [on && middle(on), middle(setBack)];
    if (!length || !off || length.value <= 0) return [];
    const share = (100 * off.value) / length.value;
    const u = quadrature((100 * off.u) / length.value, (share * length.u) / length.value);
    return [{ side, cutter, share: { value: percent(share), u } }];
  });
  return shares.reduce<ShareGoing | null>(
    (most, next) => (most && most.share.value >= next.share.value ? most : next),
    null,
  );
}

/** Whole filings before the limit: `(length − limit)/loss per filing`, never below 0. */
export function filingsLeft(length: number, limit: number, lossPerFiling: number): number {
  return Math.max(0, Math.floor((length - limit) / lossPerFiling + 1e-9));
}

/** Difference of the mean lengths, left less right, mm; null unless both sides were measured. What one tool put into both cancels. */
export function imbalance(cutters: Readonly<Record<Side, readonly Estimate[]>>): Estimate | null {
  const [left, right] = SIDES.map((side) => {
    const lengths = cutters[side];
    if (lengths.length === 0) return null;
    const mean = lengths.reduce((sum, each) => sum + each.value, 0) / lengths.length;
    const tool = lengths[0]!.tool;
    const isOneTool = lengths.every((each) => each.tool !== undefined && each.tool === tool);
    const u = (of: (each: Estimate) => number) =>
      Math.sqrt(lengths.reduce((sum, each) => sum + of(each) ** 2, 0)) / lengths.length;
    const own = u(isOneTool ? ownUncertainty : ({ u: whole }) => whole);
    return { mean, own, shared: isOneTool ? (lengths[0]!.shared ?? 0) : 0, tool: isOneTool ? tool : undefined };
  });
  if (!left || !right) return null;
  const cancels = left.tool !== undefined && left.tool === right.tool;
  const rest = cancels ? 0 : quadrature(left.shared, right.shared);
  return { value: mm(left.mean - right.mean), u: quadrature(quadrature(left.own, right.own), rest) };
}
