import { flatMap } from '../flat-map';
import { SQUARE_BITS, type FoundSquare, type Pixel } from './card';
import { MAD_OF_NORMAL, median } from '../quantity';
import { edgeAlong } from './edge';
import { isInside, type Gray } from './gray';

/** A coded square with its corners where its edges meet. */
export interface RefinedSquare {
  readonly square: FoundSquare;
  /** Spread of its edges, pixels. */
  readonly blur: number;
}

/** Edge profiles a side. */
const PROFILES = 28;
/** Reach of the passes, modules: a detector's own corners sit up to some pixels inside. */
const PASSES = [0.95, 0.5, 0.35];
/** Share of a side at its ends that is rounded by blur. */
const ROUNDED = 0.08;
/** Profiles that must cross an edge. */
const LEAST_PROFILES = 12;
/** A profile that lies further beside its line is not of it, times the spread of all. */
const MOST_BESIDE = 2.5;

interface OnSide {
  readonly t: number;
  readonly at: number;
}

/** The line through offsets along a side, without those that lie far beside it. */
function lineThrough(all: readonly OnSide[]): { readonly at: number; readonly slope: number } {
  let kept = all;
  let line = { at: 0, slope: 0 };
  for (let round = 0; round < 3; round += 1) {
    const n = kept.length;
    const [mt, ma] = [kept.reduce((sum, { t }) => sum + t / n, 0), kept.reduce((sum, { at }) => sum + at / n, 0)];
    const bottom = kept.reduce((sum, { t }) => sum + (t - mt) ** 2, 0);
    const slope = bottom > 0 ? kept.reduce((sum, { t, at }) => sum + (t - mt) * (at - ma), 0) / bottom : 0;
    line = { at: ma - slope * mt, slope };
    const beside = ({ t, at }: OnSide) => Math.abs(at - line.at - line.slope * t);
    const most = Math.max(0.05, MOST_BESIDE * (median(all.map(beside)) / MAD_OF_NORMAL));
    const near = all.filter((each) => beside(each) <= most);
    if (near.length >= LEAST_PROFILES) kept = near;
  }
  return line;
}

interface Line {
  readonly from: Pixel;
  readonly way: Pixel;
}

interface Side extends Line {
  readonly blurs: readonly number[];
}

/** A side of a square as its edge is seen. */
function sideOf(gray: Gray, [from, to]: readonly [Pixel, Pixel], outward: Pixel, reach: number): Side | null {
  const edges = flatMap(
    Array.from({ length: PROFILES }, (_, i) => ROUNDED + ((1 - 2 * ROUNDED) * i) / (PROFILES - 1)),
    (t): readonly (OnSide & { blur: number })[] => {
      const at = { x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t };
      if (!isInside(gray, at)) return [];
      const edge = edgeAlong(gray, at, outward, reach, true);
      return edge ? [{ t, at: edge.at, blur: edge.blur }] : [];
    },
  );
  if (edges.length < LEAST_PROFILES) return null;
  const { at, slope } = lineThrough(edges);
  const off = ({ x, y }: Pixel, by: number): Pixel => ({ x: x + outward.x * by, y: y + outward.y * by });
  const [begin, end] = [off(from, at), off(to, at + slope)];
  return {
    from: begin,
    way: { x: end.x - begin.x, y: end.y - begin.y },
    blurs: edges.map(({ blur }) => blur),
  };
}

function meetingOf(one: Line, other: Line): Pixel | null {
  const cross = one.way.x * other.way.y - one.way.y * other.way.x;
  if (Math.abs(cross) < 1e-9) return null;
  const t = ((other.from.x - one.from.x) * other.way.y - (other.from.y - one.from.y) * other.way.x) / cross;
  return { x: one.from.x + t * one.way.x, y: one.from.y + t * one.way.y };
}

/** The corners of a coded square from its edges, in a few passes; null where they are not seen. */
export function refinedSquare(gray: Gray, found: FoundSquare): RefinedSquare | null {
  let corners: readonly Pixel[] = found.corners;
  let blurs: readonly number[] = [];
  for (const share of PASSES) {
    const middle = {
      x: corners.reduce((sum, { x }) => sum + x / 4, 0),
      y: corners.reduce((sum, { y }) => sum + y / 4, 0),
    };
    const at = corners;
    const sides = at.map((from, i): Side | null => {
      const to = at[(i + 1) % 4]!;
      const long = Math.hypot(to.x - from.x, to.y - from.y);
      if (!(long > 2 * SQUARE_BITS)) return null;
      const across = { x: (to.y - from.y) / long, y: (from.x - to.x) / long };
      const out = (from.x - middle.x) * across.x + (from.y - middle.y) * across.y > 0 ? 1 : -1;
      return sideOf(gray, [from, to], { x: out * across.x, y: out * across.y }, (share * long) / SQUARE_BITS);
    });
    if (sides.some((side) => side === null)) return null;
    const lines = sides as readonly Side[];
    const next = lines.map((line, i) => meetingOf(lines[(i + 3) % 4]!, line));
    if (next.some((corner) => corner === null)) return null;
    corners = next as readonly Pixel[];
    blurs = flatMap(lines, (line) => line.blurs);
  }
  const [a, b, c, d] = corners;
  return { square: { id: found.id, corners: [a!, b!, c!, d!] }, blur: median(blurs) };
}
