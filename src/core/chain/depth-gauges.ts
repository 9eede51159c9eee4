import { flatMap } from '../flat-map';
import { believedAlike } from '../belief';
import { mm, ownUncertainty, quadrature, type Bounds, type Estimate } from '../quantity';
import { SIDES, type Side } from './cutters';

/** Heights of the depth gauges below their cutter's edge, in the order of the cutters. */
export type GaugeHeights = Readonly<Record<Side, readonly Bounds[]>>;

/** One depth gauge with what is believed of its height. */
export interface GaugeAt {
  readonly side: Side;
  readonly cutter: number;
  readonly height: Estimate;
}

/** The depth gauges that stand highest and lowest: the least and the greatest height below the edge. */
export interface GaugeRange {
  readonly highest: GaugeAt | null;
  readonly lowest: GaugeAt | null;
}

const asAlike = (height: Estimate) => ({ value: height.value, own: ownUncertainty(height) });

/** What each gauge is believed to be, from all of its side; a bound stays what it is. */
function believed(side: Side, heights: readonly Bounds[], which: 'lo' | 'hi'): readonly GaugeAt[] {
  const at = flatMap(heights, (bounds, i) => {
    const height = bounds[which];
    return height ? [{ side, cutter: i + 1, height }] : [];
  });
  const drawn = believedAlike(at.map(({ height }) => asAlike(height)));
  return at.map((gauge, i) => {
    const { value, own } = drawn[i]!;
    return { ...gauge, height: { ...gauge.height, value: mm(value), u: quadrature(own, gauge.height.shared ?? 0) } };
  });
}

const all = (heights: GaugeHeights, which: 'lo' | 'hi') =>
  flatMap(SIDES, (side) => believed(side, heights[side], which));

/** A gauge that is surely no lower than its mark can be too low, one that is surely no higher can be too high: each end is looked for among what bounds it. */
export function gaugeRange(heights: GaugeHeights): GaugeRange {
  const pick = (gauges: readonly GaugeAt[], better: (a: number, b: number) => boolean): GaugeAt | null =>
    gauges.reduce<GaugeAt | null>(
      (best, next) => (best && !better(next.height.value, best.height.value) ? best : next),
      null,
    );
  return {
    highest: pick(all(heights, 'hi'), (a, b) => a < b),
    lowest: pick(all(heights, 'lo'), (a, b) => a > b),
  };
}

/**
 * Height of a depth gauge once its cutter was filed back: the top plate falls toward its heel, so the edge comes down on the gauge by `r · fall`.
 * @param height below the edge, mm
 * @param filedBack mm
 * @param fall of the top plate, mm a mm
 * @example heightAfter(0.65, 2, 0.1) // 0.45
 */
export const heightAfter = (height: number, filedBack: number, fall: number): number => height - filedBack * fall;

/** Strokes of a flat file that bring a gauge from a height to its setting, to the nearest; none where it is there or below. */
export const strokesFor = (height: number, setting: number, perStroke: number): number =>
  Math.max(0, Math.round((setting - height) / perStroke));

/** How far the cutters must go back until a gauge that is too low stands right again: what it is too low by, over the fall. */
export const filingToGauges = (height: number, setting: number, fall: number): number =>
  Math.max(0, (height - setting) / fall);
