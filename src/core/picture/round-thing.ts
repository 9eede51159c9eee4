import { MAD_OF_NORMAL, median } from '../quantity';
import type { Pixel } from './card';
import { isInside, shadeAt, softened, type Gray } from './gray';

/** How round everything about a place looks, in a picture of the same size: highest in the middle of a disc. */
export interface Roundness extends Gray {
  readonly data: Float32Array;
}

/** A shade that changes by less a pixel is flat. */
const LEAST_SLOPE = 1.5;
/** A slope that is steeper counts no more than this: one glint is not a rivet. */
const MOST_SLOPE = 12;
const RADII = 5;

interface Slope {
  readonly x: number;
  readonly y: number;
  readonly long: number;
}

function slopeAt({ width, data }: Gray, at: number): Slope {
  const x = (data[at + 1]! - data[at - 1]!) / 2;
  const y = (data[at + width]! - data[at - width]!) / 2;
  return { x, y, long: Math.hypot(x, y) };
}

/**
 * Radial symmetry of both polarities: every slope speaks for the places one radius along it and against it (Loy &
 * Zelinsky, Fast Radial Symmetry for Detecting Points of Interest, 2003); the better of the two stands.
 * @param least radius, pixels @param most radius, pixels
 */
export function roundnessOf(gray: Gray, least: number, most: number): Roundness {
  const soft = softened(gray, Math.max(0.8, least / 6));
  const { width, height } = soft;
  const votes = [new Float32Array(width * height), new Float32Array(width * height)];
  for (let y = 1; y < height - 1; y += 1)
    for (let x = 1; x < width - 1; x += 1) {
      const slope = slopeAt(soft, y * width + x);
      if (slope.long < LEAST_SLOPE) continue;
      const weight = Math.min(slope.long, MOST_SLOPE);
      for (let step = 0; step < RADII; step += 1) {
        const radius = least + ((most - least) * step) / (RADII - 1);
        for (const way of [1, -1]) {
          const [toX, toY] = [
            Math.round(x + (way * radius * slope.x) / slope.long),
            Math.round(y + (way * radius * slope.y) / slope.long),
          ];
          if (toX >= 0 && toY >= 0 && toX < width && toY < height)
            votes[way > 0 ? 0 : 1]![toY * width + toX]! += weight;
        }
      }
    }
  const [bright, dark] = votes.map((data) => softened({ width, height, data }, least / 4).data as Float32Array);
  return { width, height, data: bright!.map((each, i) => Math.max(each, dark![i]!)) };
}

/** The highest place within a reach, between pixels by a parabola; null where none is inside. */
export function peakNear(of: Roundness, about: Pixel, reach: number): (Pixel & { readonly height: number }) | null {
  let best: Pixel | null = null;
  let most = -1;
  for (let y = Math.ceil(about.y - reach); y <= about.y + reach; y += 1)
    for (let x = Math.ceil(about.x - reach); x <= about.x + reach; x += 1) {
      if (!isInside(of, { x, y }, 1) || Math.hypot(x - about.x, y - about.y) > reach) continue;
      const height = of.data[y * of.width + x]!;
      if (height > most) [best, most] = [{ x, y }, height];
    }
  if (!best) return null;
  const at = best.y * of.width + best.x;
  const between = (stride: number) => {
    const [a, b, c] = [of.data[at - stride]!, of.data[at]!, of.data[at + stride]!];
    const bend = a - 2 * b + c;
    return bend < 0 ? Math.min(0.5, Math.max(-0.5, (a - c) / (2 * bend))) : 0;
  };
  return { x: best.x + between(1), y: best.y + between(of.width), height: most };
}

/** Rays from a middle along which the edge of a disc is looked for. */
export const RAYS = 48;
const LEAST_RAYS = 16;

/** A disc: its middle, and its radius, pixels. */
export interface Disc extends Pixel {
  readonly radius: number;
  /** Spread of its edge about the circle, pixels. */
  readonly spread: number;
  /** Share of the rays that meet its edge. */
  readonly seen: number;
}

interface Crossing extends Pixel {
  readonly radius: number;
}

/** The edge along a ray: the steepest change of one way between two radii. */
function crossingOn(
  soft: Gray,
  { x, y }: Pixel,
  angle: number,
  least: number,
  most: number,
  way: 1 | -1,
): Crossing | null {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const at = (radius: number) => shadeAt(soft, x + cos * radius, y + sin * radius);
  const slope = (radius: number) => way * (at(radius + 0.5) - at(radius - 0.5));
  let [best, steepest] = [-1, LEAST_SLOPE];
  for (let radius = least; radius <= most; radius += 0.25) {
    const here = slope(radius);
    if (here > steepest) [best, steepest] = [radius, here];
  }
  if (best < 0) return null;
  const [a, b, c] = [slope(best - 0.25), steepest, slope(best + 0.25)];
  const bend = a - 2 * b + c;
  const radius = best + (bend < 0 ? (0.25 * (a - c)) / (2 * bend) : 0);
  return { x: x + cos * radius, y: y + sin * radius, radius };
}

/** The circle through points by least squares (Kåsa 1976), without those that lie far beside it. */
export function circleThrough(all: readonly Pixel[]): Disc | null {
  let kept = all;
  let disc: Disc | null = null;
  for (let round = 0; round < 4; round += 1) {
    const n = kept.length;
    if (n < LEAST_RAYS) return disc;
    const [mx, my] = [kept.reduce((sum, { x }) => sum + x / n, 0), kept.reduce((sum, { y }) => sum + y / n, 0)];
    let [uu, uv, vv, up, vp, pp] = [0, 0, 0, 0, 0, 0];
    for (const each of kept) {
      const [u, v] = [each.x - mx, each.y - my];
      const square = u * u + v * v;
      uu += u * u;
      uv += u * v;
      vv += v * v;
      up += u * square;
      vp += v * square;
      pp += square / n;
    }
    const det = uu * vv - uv * uv;
    if (!(det > 1e-9)) return disc;
    const [cx, cy] = [(up * vv - vp * uv) / (2 * det), (vp * uu - up * uv) / (2 * det)];
    const radius = Math.sqrt(cx * cx + cy * cy + pp);
    const beside = ({ x, y }: Pixel) => Math.abs(Math.hypot(x - mx - cx, y - my - cy) - radius);
    const spread = Math.max(0.1, median(all.map(beside)) / MAD_OF_NORMAL);
    const near = all.filter((each) => beside(each) < 2 * spread);
    disc = { x: mx + cx, y: my + cy, radius, spread, seen: near.length / RAYS };
    kept = near;
  }
  return disc;
}

/** The disc about a place that is nearly its middle, of either polarity; null where no circle is seen. */
export function discNear(soft: Gray, about: Pixel, least: number, most: number): Disc | null {
  const discs = ([1, -1] as const).map((way) => {
    let at: Disc | null = null;
    for (let round = 0; round < 2; round += 1) {
      const middle: Pixel = at ?? about;
      const crossings = Array.from({ length: RAYS }, (_, i) =>
        crossingOn(soft, middle, (2 * Math.PI * i) / RAYS, least, most, way),
      ).filter((each) => each !== null);
      at = crossings.length >= LEAST_RAYS ? circleThrough(crossings) : null;
      if (!at) break;
    }
    return at;
  });
  // The one whose edge is rounder and seen further round.
  const worth = (disc: Disc | null) => (disc ? disc.seen / (0.15 + disc.spread / disc.radius) : -1);
  const [bright, dark] = discs as [Disc | null, Disc | null];
  return worth(bright) > worth(dark) ? bright : dark;
}
