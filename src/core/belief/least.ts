import { mm, normalCdf, probabilityWithin, type Estimate } from '../quantity';
import { normalPoints } from './normal-points';
import type { Component, ProfileBelief } from './profile';

/** Rows of normal points; each stands for four draws, with its signs turned. */
export const BASE = 128;
export const DRAWS = 4 * BASE;

/** Fractions of irrational numbers, which never fall into step: draws are spread over components by them. */
export const SPREADS = [0.6180339887498949, 0.7548776662466927, 0.5698402909980532] as const;

/** The component that a share of all draws falls to. */
export function pick(components: readonly Component[], share: number): Component {
  let sum = 0;
  for (const component of components) {
    sum += component.weight;
    if (share < sum) return component;
  }
  return components.at(-1)!;
}

/** One draw of deviations from the mean: the factor times normal points. */
export function deviate({ factor }: Component, points: Float64Array, from: number, into: Float64Array): void {
  const size = into.length;
  for (let j = 0; j < size; j += 1) {
    let sum = 0;
    const row = j * size;
    for (let k = 0; k <= j; k += 1) sum += factor[row + k]! * points[from + k]!;
    into[j] = sum;
  }
}

/**
 * A drawn value held between two marks: what a normal of their middle and width says becomes what they say, alike anywhere between them and nowhere else.
 */
export function heldBetween(value: number, [lo, hi]: readonly [number, number]): number {
  const u = (hi - lo) / Math.sqrt(12);
  return u === 0 ? lo : lo + (hi - lo) * normalCdf((value - (lo + hi) / 2) / u);
}

/**
 * The least of many things that were read with one tool: equally likely values of it, and the error that all readings have in common, which moves every
 * value alike and is normal.
 */
export interface Least {
  readonly draws: Float64Array;
  /** Standard deviation of what is common to all, mm. */
  readonly common: number;
}

/** Probability that the least of all is at or above a limit: one question, however many were read. */
export function leastWithin({ draws, common }: Least, limit: number): number {
  let sum = 0;
  for (const draw of draws) sum += probabilityWithin({ value: mm(draw), u: common }, limit, 'min');
  return sum / draws.length;
}

/** Value and standard uncertainty of the least of all. */
export function leastValue({ draws, common }: Least): Estimate {
  let sum = 0;
  let square = 0;
  for (const draw of draws) {
    sum += draw;
    square += draw ** 2;
  }
  const mean = sum / draws.length;
  return { value: mm(mean), u: Math.sqrt(Math.max(0, square / draws.length - mean ** 2) + common ** 2) };
}

/** The least of what two things have as their least, drawn apart from one another. */
export function lesser(a: Least, b: Least): Least {
  return { draws: a.draws.map((draw, i) => Math.min(draw, b.draws[i]!)), common: Math.max(a.common, b.common) };
}

/**
 * The least anywhere along a profile.
 * @param held marks that hold the profile at a place, by the place's number
 * @param offset column of the points to begin with, so that two profiles are drawn apart
 */
export function leastAlong(
  { components, places }: ProfileBelief,
  common: number,
  held: ReadonlyMap<number, readonly [number, number]>,
  offset: number,
): Least {
  const size = places.length;
  const table = normalPoints(BASE, offset + 2 * size);
  const draws = new Float64Array(DRAWS);
  const deviation = new Float64Array(size);
  for (let half = 0; half < 2 * BASE; half += 1) {
    const row = half >> 1;
    const component = pick(components, ((half + 0.5) * SPREADS[0]) % 1);
    deviate(component, table.points, row * table.columns + offset + (half % 2) * size, deviation);
    for (const sign of [1, -1]) {
      let lowest = Infinity;
      for (let j = 0; j < size; j += 1) {
        const marks = held.get(j);
        const drawn = component.mean[j]! + sign * deviation[j]!;
        const value = marks ? heldBetween(drawn, marks) : drawn;
        if (value < lowest) lowest = value;
      }
      draws[2 * half + (sign === 1 ? 0 : 1)] = lowest;
    }
  }
  return { draws, common };
}
