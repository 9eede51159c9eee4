import { chanceAbove, mm, normalCdf, type Estimate } from '../quantity';
import { columnOf } from './matrix';
import { normalPoints, ROWS } from './normal-points';
import type { Component, ProfileBelief } from './profile';

/**
 * Rows of normal points for a question that is close, and for one that is not; each row stands for four draws, with its
 * signs turned.
 */
export const CLOSE_ROWS = ROWS;
export const CLEAR_ROWS = 16;
export const DRAWS_PER_ROW = 4;

/** Fractions of irrational numbers, which never fall into step: draws are spread over components by them. */
export const SPREADS = [0.6180339887498949, 0.7548776662466927, 0.5698402909980532] as const;

/** The component that a share of all draws falls to. */
export function pick<C extends { readonly weight: number }>(components: readonly C[], share: number): C {
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
 * A drawn value held between two marks: what a normal of their middle and width says becomes what they say, alike
 * anywhere between them and nowhere else.
 */
export function heldBetween(value: number, [lo, hi]: readonly [number, number]): number {
  const u = (hi - lo) / Math.sqrt(12);
  return u === 0 ? lo : lo + (hi - lo) * normalCdf((value - (lo + hi) / 2) / u);
}

/**
 * The least of many things that were read with one tool: equally likely values of it, and the error that all readings
 * have in common, which moves every value alike and is normal.
 */
export interface Least {
  readonly draws: Float64Array;
  /**
   * The same without what may hide between the readings: it counts against a limit, and is no part of the value that is
   * told.
   */
  readonly seen?: Float64Array;
  /** Standard deviation of what is common to all, mm. */
  readonly common: number;
}

/** Probability that the least of all is at or above a limit: one question, however many were read. */
export function leastWithin({ draws, common }: Least, limit: number): number {
  let sum = 0;
  for (let i = 0; i < draws.length; i += 1) {
    sum += chanceAbove(draws[i]! - limit, common);
  }
  return sum / draws.length;
}

/** The least of what was read alone. */
export const withoutHidden = ({ draws, seen = draws, common }: Least): Least => ({ draws: seen, common });

/** Further than so many standard uncertainties from a limit no draw comes near it. */
const CLEARLY = 5;

/**
 * Whether few draws say all there is to say: the least lies clearly on one side of every level that it is held against.
 */
export function isClear(least: Least, levels: readonly number[]): boolean {
  const { value, u } = leastValue(least);
  return levels.every((level) => Math.abs(value - level) > CLEARLY * u + CLEARLY / 100);
}

/** Value and standard uncertainty of the least of all that was read. */
export function leastValue({ draws: all, seen: draws = all, common }: Least): Estimate {
  let sum = 0;
  let square = 0;
  for (let i = 0; i < draws.length; i += 1) {
    sum += draws[i]!;
    square += draws[i]! * draws[i]!;
  }
  const mean = sum / draws.length;
  return { value: mm(mean), u: Math.sqrt(Math.max(0, square / draws.length - mean ** 2) + common ** 2) };
}

/** Quantiles of a standard normal, evenly spread: a few draws that have its mean and nearly its spread. */
const QUANTILES = [-1.87, -1.23, -0.84, -0.53, -0.26, 0, 0.26, 0.53, 0.84, 1.23, 1.87] as const;

/** Few draws for a least that is known by its value and uncertainty alone: enough where no limit is near. */
export function leastAbout({ value, u }: Estimate, common: number): Least {
  return { draws: columnOf(QUANTILES, (quantile) => value + u * quantile), common };
}

/** The least of what two things have as their least, drawn apart from one another. */
export function lesser(a: Least, b: Least): Least {
  return { draws: a.draws.map((draw, i) => Math.min(draw, b.draws[i]!)), common: Math.max(a.common, b.common) };
}

/**
 * The least anywhere along a profile.
 * @param held marks that hold the profile at a place, by the place's number
 * @param offset column of the points to begin with, so that two profiles are drawn apart
 * @param rows rows of points to draw by
 */
export function leastAlong(
  { components, places }: ProfileBelief,
  common: number,
  held: ReadonlyMap<number, readonly [number, number]>,
  offset: number,
  rows: number,
): Least {
  const size = places.length;
  const points = normalPoints(offset + 2 * size);
  const draws = new Float64Array(DRAWS_PER_ROW * rows);
  const deviation = new Float64Array(size);
  const isHeld = held.size > 0;
  for (let half = 0; half < 2 * rows; half += 1) {
    const component = pick(components, ((half + 0.5) * SPREADS[0]) % 1);
    const { mean } = component;
    deviate(component, points[half >> 1]!, offset + (half % 2) * size, deviation);
    for (let turn = 0; turn < 2; turn += 1) {
      let lowest = Infinity;
      for (let j = 0; j < size; j += 1) {
        const drawn = turn === 0 ? mean[j]! + deviation[j]! : mean[j]! - deviation[j]!;
        const marks = isHeld ? held.get(j) : undefined;
        const value = marks ? heldBetween(drawn, marks) : drawn;
        if (value < lowest) lowest = value;
      }
      draws[2 * half + turn] = lowest;
    }
  }
  return { draws, common };
}
