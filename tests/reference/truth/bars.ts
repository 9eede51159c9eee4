import type { Random } from './random';

/** Depth of both rails at a place along an edge, mm. */
export type Rails = (at: number) => { readonly near: number; readonly far: number };

/** What a simulated bar is made of. */
export interface Kind {
  /** Chance that an edge carries a dip, and its width and depth, mm. */
  readonly dips: number;
  /** Chance that one rail of an edge stands higher over a third of it. */
  readonly steps: number;
}

/** First and last station of a bar, mm from the tail. */
export const FIRST = 40;
export const LAST = 390;
const SPAN = LAST - FIRST;

/** Stations spread evenly. */
export const stationsAt = (count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => FIRST + (count === 1 ? 0 : Math.round((i * SPAN) / (count - 1))));

/** A level edge. */
export const level =
  (depth: number): Rails =>
  () => ({ near: depth, far: depth });

/** A level edge with one rail low by `height` over a third of it. */
export function block({ between, chance }: Random, depth: number, height: number): Rails {
  const from = between(FIRST, LAST - SPAN / 3);
  const low = chance(0.5) ? 'near' : 'far';
  return (at) => {
    const worn = at >= from && at <= from + SPAN / 3 ? depth - height : depth;
    return low === 'near' ? { near: worn, far: depth } : { near: depth, far: worn };
  };
}

/**
 * An edge as it wears: a slope, a slow wave, a lean of the rails, perhaps a step over a third and a dip of 12 to 30 mm.
 */
export function worn({ between, normal, chance }: Random, { dips, steps }: Kind): Rails {
  const slope = between(-0.3, 0.3);
  const wave = { height: between(0, 0.25), length: between(250, 650), phase: between(0, 2 * Math.PI) };
  const lean = normal(0.06);
  const step = chance(steps) ? { from: between(FIRST, LAST - SPAN / 3), height: between(-0.3, 0.3) } : null;
  const rail = between(0, 3);
  const dip = chance(dips) ? { at: between(FIRST, LAST), width: between(12, 30), depth: between(0.1, 0.45) } : null;
  return (at) => {
    const along =
      slope * ((at - FIRST) / SPAN - 0.5) + wave.height * Math.cos((2 * Math.PI * at) / wave.length + wave.phase);
    const stepped = step && at >= step.from && at <= step.from + SPAN / 3 ? step.height : 0;
    const dipped = dip ? dip.depth * Math.exp(-1.5 * ((at - dip.at) / (dip.width / 2)) ** 2) : 0;
    return {
      near: along + lean / 2 - Math.max(0, stepped) - (rail < 2 ? dipped : 0),
      far: along - lean / 2 - Math.max(0, -stepped) - (rail > 1 ? dipped : 0),
    };
  };
}

/** The least depth of both rails at given places. */
export const leastOf = (edges: readonly Rails[], places: readonly number[]): number =>
  Math.min(...edges.flatMap((edge) => places.flatMap((at) => Object.values(edge(at)))));

/** The same edge, deeper. */
export const raised =
  (edge: Rails, by: number): Rails =>
  (at) => {
    const { near, far } = edge(at);
    return { near: near + by, far: far + by };
  };
