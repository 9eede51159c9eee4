import { flatMap } from '../flat-map';
import {
  alikeBelief,
  allAtLeast,
  believedPieces,
  couldBeShortest,
  lessBias,
  shortestOf,
  type Alike,
  type AlikeBelief,
  type AlikeKind,
  type AskedAlike,
  type AskedPiece,
} from '../belief';
import { quadrature, mm, ownUncertainty, percent, type Bounds, type Estimate, type Within } from '../quantity';

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** Lengths of the cutters of each side as read, in their order; numbers of damage refer to them. */
export type Cutters = Readonly<Record<Side, readonly Bounds[]>>;

/**
 * Where damage sits: at the working corner, which a correction of the angle takes off too; or behind it, where it does
 * not.
 */
export type DamagePlace = 'corner' | 'behind';

/** Damage that must be filed back: on which cutter (numbered from 1), how far, and where it sits. */
export interface Damage {
  readonly side: Side;
  readonly cutter: number;
  readonly setBack: Bounds;
  /** Where nobody has said, it sits at the corner: that is where cutters meet stone. */
  readonly place?: DamagePlace;
}

/** What correcting the angle takes off every cutter of a side. */
export type SideSetBack = Readonly<Partial<Record<Side, Estimate>>>;

/** How cutters of one side differ among themselves, mm (shop's figures). */
const CUTTERS: AlikeKind = {
  spreads: [
    [0.02, 1],
    [0.05, 1],
    [0.1, 1],
    [0.2, 1],
    [0.4, 0.5],
    [0.8, 0.25],
  ],
  odd: { share: 0.03, spread: 0.4 },
};

/** What is known from one mark alone stands by itself: it tells nothing of the others. */
const BY_ITSELF: AlikeKind = { spreads: [[1e3, 1]], odd: { share: 0, spread: 0 } };

/** From so many on, cutters tell enough of one another that the scatter of the readings is seen for what it is. */
const ENOUGH = 4;

/** One cutter as long as it will be, seen from one side of the bounds. */
interface Shown extends Alike {
  readonly belief: AlikeBelief;
  readonly asked: AskedPiece;
}

/** One cutter as long as it may be left, from below and from above. */
interface Piece {
  readonly side: Side;
  readonly cutter: number;
  readonly lo: Shown | null;
  readonly hi: Shown | null;
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
  /** The cutter of which most goes, share of its length: its damage and its angle together. */
  readonly going: ShareGoing | null;
}

/** A cutter as it was read: its length from below and from above. */
interface ReadCutter {
  readonly side: Side;
  readonly cutter: number;
  readonly length: Bounds;
  readonly lo: Shown | null;
  readonly hi: Shown | null;
}

const ofWhole = { off: 0, u: 0, bias: 1 } as const;

function shownAlone(bound: Estimate | null): Shown | null {
  if (!bound) return null;
  const own = ownUncertainty(bound);
  const belief = alikeBelief([{ value: bound.value, own }], BY_ITSELF);
  return { value: bound.value, own, belief, asked: { reading: 0, ...ofWhole } };
}

/** What each side's measured cutters are believed to be, from all of them; a bound stays what it is. */
function cuttersOf(side: Side, lengths: readonly Bounds[]): readonly ReadCutter[] {
  const whole = lengths.filter(({ lo, hi }) => lo && lo === hi);
  const readings = whole.map(({ lo }) => ({ value: lo!.value as number, own: ownUncertainty(lo!) }));
  const belief = readings.length > 0 ? alikeBelief(readings, readings.length < ENOUGH ? BY_ITSELF : CUTTERS) : null;
  const pieces = belief ? believedPieces(belief) : [];
  return lengths.map((length, i) => {
    const reading = whole.indexOf(length);
    const shown = belief && reading >= 0 ? { ...pieces[reading]!, belief, asked: { reading, ...ofWhole } } : null;
    return { side, cutter: i + 1, length, lo: shown ?? shownAlone(length.lo), hi: shown ?? shownAlone(length.hi) };
  });
}

const exact = (length: number): Estimate => ({ value: mm(length), u: 0 });

/** The greater of two set-backs, with the doubt of which it is. */
function greater(a: Estimate, b: Estimate): Estimate {
  if (a.u === 0 && b.u === 0) return a.value >= b.value ? a : b;
  const least = shortestOf(
    [
      { value: -a.value, own: a.u },
      { value: -b.value, own: b.u },
    ],
    0,
  )!;
  return { value: mm(-least.value), u: least.u };
}

/**
 * What comes off a cutter, and whether the tool that read its length read that too: then its own error is in neither.
 */
interface Off {
  readonly off: Estimate;
  readonly cancels: boolean;
}

/**
 * What a cutter must lose. At its working corner the larger of damage and angle correction counts: a flat there goes
 * with the angle. Damage behind it is reached only once the point has gone back by both.
 */
function offOf(damage: Estimate | null, place: DamagePlace, angle: Estimate | null, tool: Estimate['tool']): Off {
  if (!damage) return { off: angle ?? exact(0), cancels: false };
  const cancels = damage.tool !== undefined && damage.tool === tool;
  const own: Estimate = { value: damage.value, u: cancels ? ownUncertainty(damage) : damage.u };
  if (!angle) return { off: own, cancels };
  if (place === 'behind')
    return { off: { value: mm(own.value + angle.value), u: quadrature(own.u, angle.u) }, cancels };
  return { off: greater(own, angle), cancels: cancels && damage.value >= angle.value };
}

const less = (shown: Shown | null, { off, cancels }: Off): Shown | null =>
  shown && {
    value: shown.value - off.value,
    own: quadrature(shown.own, off.u),
    belief: shown.belief,
    asked: { ...shown.asked, off: off.value, u: off.u, bias: cancels ? 0 : 1 },
  };

const value = ({ lo, hi }: Pick<Piece, 'lo' | 'hi'>): number => (hi ?? lo)?.value ?? Infinity;
const shorter = <T extends Pick<Piece, 'lo' | 'hi'>>(a: T, b: T): T => (value(b) < value(a) ? b : a);

/**
 * The cutter that damage is on: its own, or the shortest of its side, or of the other side where its own was not
 * measured.
 */
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
 * Length all cutters must be filed to: the least of (length − set-back), one question of all cutters. Damage on a
 * cutter whose length was not measured is taken off the shortest of its side, or of the other where nothing of its side
 * was: the cautious reading. At the working corner damage and angle go together, and the larger counts; damage that
 * sits behind it adds to the angle.
 * @param sharpening what a filing takes off a cutter that has no damage to be filed out, mm; filing damage out, or an
 *   angle right, sharpens
 * @returns null when no cutter was measured
 */
export function lengthAfterCorrection(
  cutters: Cutters,
  damage: readonly Damage[],
  angles: SideSetBack = {},
  sharpening = 0,
): Correction | null {
  const sides = { left: cuttersOf('left', cutters.left), right: cuttersOf('right', cutters.right) };
  const standing = [...sides.left, ...sides.right];
  if (standing.length === 0) return null;
  const readings = flatMap([...cutters.left, ...cutters.right], ({ lo, hi }) => lo ?? hi ?? []);
  const tool = readings[0]?.tool;
  const sharpened = standing.map(({ side, cutter, lo, hi }): Piece => {
    const angle = angles[side];
    const off = angle && angle.value > sharpening ? angle : exact(sharpening);
    const plain = { off, cancels: false };
    return { side, cutter, lo: less(lo, plain), hi: less(hi, plain) };
  });
  const filed = flatMap(damage, (each): { readonly piece: Piece; readonly going: ShareGoing | null }[] => {
    const on = onCutter(each, sides, shorter);
    if (!on) return [];
    const angle = angles[each.side] ?? null;
    const place = each.place ?? 'corner';
    const [most, least] = [each.setBack.hi, each.setBack.lo].map((bound) => bound && offOf(bound, place, angle, tool));
    const { side, cutter } = each;
    const piece = { side, cutter, lo: most ? less(on.lo, most) : null, hi: least ? less(on.hi, least) : null };
    return [{ piece, going: goingOf(each, on.length, (least ?? most)?.off ?? null) }];
  });
  const angled = flatMap(
    standing,
    ({ side, cutter, length }) => goingOf({ side, cutter }, length, angles[side] ?? null) ?? [],
  );
  const pieces = [...sharpened, ...filed.map(({ piece }) => piece)];
  const worst = pieces.reduce(shorter);
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
    tool,
    going: [...flatMap(filed, ({ going }) => going ?? []), ...angled].reduce<ShareGoing | null>(
      (most, next) => (most && most.share.value >= next.share.value ? most : next),
      null,
    ),
  };
}

/** Cutters that may turn out to be the shortest, by what they are believed to be together. */
export function askedOf({ pieces }: Correction, which: 'lo' | 'hi'): readonly AskedAlike[] {
  const all = flatMap(pieces, (piece) => piece[which] ?? []);
  const could = new Set(couldBeShortest(all));
  const kinds = new Map<AlikeBelief, AskedPiece[]>();
  for (const shown of all)
    if (could.has(shown)) kinds.set(shown.belief, [...(kinds.get(shown.belief) ?? []), shown.asked]);
  return [...kinds].map(([belief, asked]) => ({ belief, pieces: asked }));
}

/**
 * How likely all cutters end at or above the limit, one question of all. The mark was measured too: what one tool put
 * into both cancels.
 */
export function correctionWithin(correction: Correction, limit: Estimate): Within {
  const { pieces, common, tool } = correction;
  const isOneTool = tool !== undefined && limit.tool === tool;
  const side = (which: 'lo' | 'hi') =>
    allAtLeast(
      isOneTool ? lessBias(askedOf(correction, which), 1) : askedOf(correction, which),
      limit.value,
      common,
      isOneTool ? ownUncertainty(limit) : limit.u,
    );
  const isHeld = (which: 'lo' | 'hi') => pieces.every((piece) => piece[which]);
  return {
    least: isHeld('lo') ? side('lo') : 0,
    most: pieces.some(({ hi }) => hi) ? side('hi') : 1,
  };
}

/** How much of a cutter goes with its damage and its angle, percent of its length. */
export interface ShareGoing {
  readonly side: Side;
  readonly cutter: number;
  readonly share: Estimate<'%'>;
}

const middle = ({ lo, hi }: Bounds): Estimate | null => lo ?? hi;

/** The share that goes of a cutter; null where nothing does, or there is no length to hold it against. */
function goingOf(
  { side, cutter }: Pick<Damage, 'side' | 'cutter'>,
  of: Bounds,
  off: Estimate | null,
): ShareGoing | null {
  const length = middle(of);
  if (!length || !off || off.value <= 0 || length.value <= 0) return null;
  const share = (100 * off.value) / length.value;
  const u = quadrature((100 * off.u) / length.value, (share * length.u) / length.value);
  return { side, cutter, share: { value: percent(share), u } };
}

/** Whole filings before the limit: `(length − limit)/loss per filing`, never below 0. */
export function filingsLeft(length: number, limit: number, lossPerFiling: number): number {
  return Math.max(0, Math.floor((length - limit) / lossPerFiling + 1e-9));
}

/**
 * Difference of the mean lengths, left less right, mm; null unless both sides were measured. What one tool put into
 * both cancels.
 */
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
