import type { Pixel } from './card';
import { shadeAt, type Gray } from './gray';

/** An edge that a profile crosses. */
export interface Edge {
  /** Beside the middle of the profile, along it, pixels. */
  readonly at: number;
  /** From the lower end of the profile to its upper, shades: above zero where it gets brighter. */
  readonly rise: number;
  /** Spread of the edge, pixels. */
  readonly blur: number;
}

/** Steps of a profile, pixels. */
const STEP = 0.5;
/** An edge that rises by less is none, shades. */
const LEAST_RISE = 12;

/** Shades along a line through a place. @param way of length one @param reach to both sides, pixels */
function profileOf(gray: Gray, { x, y }: Pixel, way: Pixel, reach: number): Float64Array {
  const half = Math.ceil(reach / STEP);
  return Float64Array.from({ length: 2 * half + 1 }, (_, i) => {
    const off = (i - half) * STEP;
    // Three beside each other: an edge is a line, noise is not.
    let sum = 0;
    for (const beside of [-1, 0, 1])
      sum += shadeAt(gray, x + way.x * off - way.y * beside, y + way.y * off + way.x * beside);
    return sum / 3;
  });
}

const mean = (of: Float64Array): number => of.reduce((sum, each) => sum + each, 0) / of.length;

/** Where a profile crosses a level, going from one index on to where it has been crossed. */
function crossing(profile: Float64Array, level: number, from: number, to: number): number {
  const way = Math.sign(profile[to]! - profile[from]!);
  for (let i = from; i < to; i += 1) {
    const [here, next] = [(profile[i]! - level) * way, (profile[i + 1]! - level) * way];
    if (here <= 0 && next > 0) return i - here / (next - here);
  }
  return (from + to) / 2;
}

/**
 * The strongest edge of a profile of one way, at half its rise: symmetric blur leaves it there.
 * @param brighter whether it gets brighter along the way; null for either
 */
export function edgeAlong(gray: Gray, middle: Pixel, way: Pixel, reach: number, brighter: boolean | null): Edge | null {
  const profile = profileOf(gray, middle, way, reach);
  const half = (profile.length - 1) / 2;
  const side = Math.max(2, Math.min(12, Math.round(half / 2)));
  let [best, most] = [-1, LEAST_RISE];
  for (let i = side; i < profile.length - side; i += 1) {
    const rise = mean(profile.subarray(i + 1, i + 1 + side)) - mean(profile.subarray(i - side, i));
    const strength = brighter === null ? Math.abs(rise) : brighter ? rise : -rise;
    if (strength > most) [best, most] = [i, strength];
  }
  if (best < 0) return null;
  const [from, to] = [Math.max(0, best - side), Math.min(profile.length - 1, best + side)];
  const quarter = Math.max(1, Math.round(side / 3));
  const low = mean(profile.subarray(from, from + quarter));
  const high = mean(profile.subarray(to - quarter + 1, to + 1));
  const rise = high - low;
  if (Math.abs(rise) < LEAST_RISE || (brighter !== null && rise > 0 !== brighter)) return null;
  const at = (share: number) => crossing(profile, low + share * rise, from, to);
  // From 16 to 84 of 100 an edge that is softened by a Gaussian rises over two of its spreads.
  return { at: (at(0.5) - half) * STEP, rise, blur: Math.max(0.3, ((at(0.84) - at(0.16)) * STEP) / 2) };
}

/** Samples to both sides over which a rise is taken, for edges that lie near each other. */
const NEAR = 3;

/** All edges along a way from a place, the nearest first: between steps by a parabola. @param reach pixels */
export function edgesFrom(gray: Gray, from: Pixel, way: Pixel, reach: number): readonly Omit<Edge, 'blur'>[] {
  const middle = { x: from.x + (way.x * reach) / 2, y: from.y + (way.y * reach) / 2 };
  const profile = profileOf(gray, middle, way, reach / 2);
  const begin = reach / 2 - ((profile.length - 1) / 2) * STEP;
  const riseAt = (i: number) => mean(profile.subarray(i + 1, i + 1 + NEAR)) - mean(profile.subarray(i - NEAR, i));
  const rises = Float64Array.from(profile, (_, i) => (i < NEAR || i >= profile.length - NEAR ? 0 : riseAt(i)));
  const edges: Omit<Edge, 'blur'>[] = [];
  for (let i = 1; i + 1 < rises.length; i += 1) {
    const here = Math.abs(rises[i]!);
    const [before, after] = [rises[i - 1]!, rises[i + 1]!].map((each) => each * Math.sign(rises[i]!)) as [
      number,
      number,
    ];
    if (here < LEAST_RISE || before > here || after >= here) continue;
    const bend = before - 2 * here + after;
    const off = bend < 0 ? (before - after) / (2 * bend) : 0;
    edges.push({ at: begin + (i + off) * STEP, rise: rises[i]! });
  }
  return edges;
}
