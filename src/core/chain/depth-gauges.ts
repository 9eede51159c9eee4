import { flatMap } from '../flat-map';
import { alikeBelief, allAtLeast, believedPieces, oneAtLeast, type AlikeKind, type AskedAlike } from '../belief';
import { mm, ownUncertainty, quadrature, type Bounds, type Estimate, type Within } from '../quantity';
import { SIDES, type Side } from './cutters';

/** Heights of the depth gauges below their cutter's edge, in the order of the cutters. */
export type GaugeHeights = Readonly<Record<Side, readonly Bounds[]>>;

/** One depth gauge with what is believed of its height. */
export interface GaugeAt {
  readonly side: Side;
  readonly cutter: number;
  readonly height: Estimate;
}

/**
 * How depth gauges of a chain differ among themselves, mm, and the odd one that a stone or a hasty file made (shop's
 * figures, model §18).
 */
const GAUGES: AlikeKind = {
  spreads: [
    [0.01, 1],
    [0.02, 1],
    [0.03, 1],
    [0.045, 1],
    [0.065, 1],
    [0.09, 0.7],
    [0.13, 0.5],
    [0.2, 0.3],
  ],
  odd: { share: 0.03, spread: 0.15 },
};

/** All depth gauges seen from one side of their bounds: what is known from one mark alone bounds that side. */
export interface GaugesSeen {
  readonly gauges: readonly GaugeAt[];
  readonly asked: AskedAlike;
  /** The tool's own error, which is in all of them. */
  readonly common: number;
}

/** All gauges from both sides; one and the same where every one is known whole. */
export function gaugesFromBoth(heights: GaugeHeights): {
  readonly lo: GaugesSeen | null;
  readonly hi: GaugesSeen | null;
} {
  const lo = gaugesSeen(heights, 'lo');
  const isWhole = SIDES.every((side) => heights[side].every((bounds) => bounds.lo === bounds.hi));
  return { lo, hi: isWhole ? lo : gaugesSeen(heights, 'hi') };
}

/** All gauges that are held from one side; null where none is. */
export function gaugesSeen(heights: GaugeHeights, which: 'lo' | 'hi'): GaugesSeen | null {
  const read = flatMap(SIDES, (side) =>
    flatMap(heights[side], (bounds, i) => {
      const height = bounds[which];
      return height ? [{ side, cutter: i + 1, height }] : [];
    }),
  );
  if (read.length === 0) return null;
  const belief = alikeBelief(
    read.map(({ height }) => ({ value: height.value, own: ownUncertainty(height) })),
    GAUGES,
  );
  const common = Math.max(0, ...read.map(({ height }) => height.shared ?? 0));
  const pieces = believedPieces(belief);
  return {
    gauges: read.map((gauge, i) => {
      const { value, own } = pieces[i]!;
      const shared = gauge.height.shared ?? 0;
      return { ...gauge, height: { ...gauge.height, value: mm(value), u: quadrature(own, shared) } };
    }),
    asked: { belief, pieces: read.map((_, reading) => ({ reading, off: 0, u: 0, bias: 1 })) },
    common,
  };
}

/** The same gauges, each lower by what comes off: negative where its edge comes down on it. */
const lowered = ({ belief, pieces }: AskedAlike, by: readonly number[]): AskedAlike => ({
  belief,
  pieces: pieces.map((piece, i) => ({ ...piece, off: by[i] ?? 0 })),
});

/** A chain turned upside down: what is at most a limit is at least its negative. */
const negated = ({ belief, pieces }: AskedAlike): AskedAlike => ({
  belief: {
    readings: belief.readings.map(({ value, own }) => ({ value: -value, own })),
    fits: belief.fits.map((fit) => ({ ...fit, centre: -fit.centre })),
  },
  pieces,
});

const NOTHING_OFF: readonly number[] = [];

/**
 * Chance that no gauge stands higher than a limit allows: one question of all of them.
 * @param least height below the edge, mm
 * @param by what their heights lose when the cutters are filed back, in the order of the gauges
 */
export function noneHigher(seen: GaugesSeen, least: number, by: readonly number[] = NOTHING_OFF): number {
  return allAtLeast([lowered(seen.asked, by)], least, seen.common, 0);
}

/** Chance that no gauge stands lower than a limit allows. */
export const noneLower = (seen: GaugesSeen, most: number): number =>
  allAtLeast([negated(seen.asked)], -most, seen.common, 0);

/** The same for one gauge: how likely it stands higher than a limit allows, and lower. */
export const oneBeyond = ({ asked: { belief }, common }: GaugesSeen, i: number, least: number, most: number) => ({
  high: 1 - oneAtLeast(belief, i, least, common),
  low: oneAtLeast(belief, i, most, common),
});

/**
 * What bounds leave of a chance that all gauges are right: by those held from the bad side, and by those held from the
 * good one.
 */
export function withinSeen(
  heights: GaugeHeights,
  bad: GaugesSeen | null,
  good: GaugesSeen | null,
  of: (seen: GaugesSeen) => number,
): Within {
  const all = heights.left.length + heights.right.length;
  const most = good ? of(good) : 1;
  if (bad === good) return { least: good ? most : 0, most };
  const least = bad && bad.gauges.length === all ? of(bad) : 0;
  return { least: Math.min(least, most), most };
}

/**
 * Height of a depth gauge once its cutter was filed back: the top plate falls toward its heel, so the edge comes down
 * on the gauge by `r · fall`.
 * @param height below the edge, mm
 * @param filedBack mm
 * @param fall of the top plate, mm a mm
 * @example heightAfter(0.65, 2, 0.1) // 0.45
 */
export const heightAfter = (height: number, filedBack: number, fall: number): number => height - filedBack * fall;

/**
 * Strokes of a flat file that bring a gauge from a height to its setting, to the nearest; none where it is there or
 * below.
 */
export const strokesFor = (height: number, setting: number, perStroke: number): number =>
  Math.max(0, Math.round((setting - height) / perStroke));

/**
 * How far the cutters must go back until a gauge that is too low stands right again: what it is too low by, over the
 * fall.
 */
export const filingToGauges = (height: number, setting: number, fall: number): number =>
  Math.max(0, (height - setting) / fall);
