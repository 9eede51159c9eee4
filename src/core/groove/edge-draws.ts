import { CLOSE_ROWS, DRAWS_PER_ROW, heldBetween, SPREADS } from '../belief';
import { stretches } from './edge-level';
import type { Dip, EdgeFit, Held } from './edge-fit';
import type { RailPaths, RowDeviations } from './rails-belief';
import type { Rail } from '../declared';

/** Out of level over less than this is not worth a file, mm (common practice, no source). */
export const LENGTH_THAT_MATTERS = 30;

/** The lower rail of one draw at a place where marks hold one rail or both. */
function lowerHeld(mean: number, lean: number, { near, far }: Held): number {
  const [a, b] = [mean + lean / 2, mean - lean / 2];
  return Math.min(near ? heldBetween(a, near) : a, far ? heldBetween(b, far) : b);
}

/**
 * The four lowest places that one row of points gives an edge, its signs turned, and the lengths that are out of level.
 */
interface RowDraw {
  readonly lowest: Float64Array;
  readonly unlevel: Float64Array;
}

/**
 * Draws one row, its points turned in four ways: the depth up or down with what of the step goes with it, and the rest
 * of the step across or back. The turns are written out: this is the innermost loop of a judgement.
 */
function drawRow(
  { depths, leans }: { readonly depths: Float64Array; readonly leans: Float64Array },
  { up, lift, across }: RowDeviations,
  lengths: Float64Array,
  stepLimit: number,
  { lowest, unlevel }: RowDraw,
): void {
  let low0 = Infinity;
  let low1 = Infinity;
  let low2 = Infinity;
  let low3 = Infinity;
  let out0 = 0;
  let out1 = 0;
  let out2 = 0;
  let out3 = 0;
  for (let j = 0; j < depths.length; j += 1) {
    const high = depths[j]! + up[j]!;
    const low = depths[j]! - up[j]!;
    const with_ = leans[j]! + lift[j]!;
    const against = leans[j]! - lift[j]!;
    const turned = across[j]!;
    const lean0 = Math.abs(with_ + turned);
    const lean1 = Math.abs(against + turned);
    const lean2 = Math.abs(with_ - turned);
    const lean3 = Math.abs(against - turned);
    low0 = Math.min(low0, high - lean0 / 2);
    low1 = Math.min(low1, low - lean1 / 2);
    low2 = Math.min(low2, high - lean2 / 2);
    low3 = Math.min(low3, low - lean3 / 2);
    const length = lengths[j]!;
    if (lean0 > stepLimit) out0 += length;
    if (lean1 > stepLimit) out1 += length;
    if (lean2 > stepLimit) out2 += length;
    if (lean3 > stepLimit) out3 += length;
  }
  lowest[0] = low0;
  lowest[1] = low1;
  lowest[2] = low2;
  lowest[3] = low3;
  unlevel[0] = out0;
  unlevel[1] = out1;
  unlevel[2] = out2;
  unlevel[3] = out3;
}

/** The lowest of a row once more where marks hold rails at some places: what they allow, and nothing beyond. */
function lowestHeld(
  { depths, leans }: { readonly depths: Float64Array; readonly leans: Float64Array },
  { up, lift, across }: RowDeviations,
  held: EdgeFit['held'],
  lowest: Float64Array,
): void {
  for (let turn = 0; turn < DRAWS_PER_ROW; turn += 1) {
    const heave = turn % 2 === 0 ? 1 : -1;
    const tilt = turn < 2 ? 1 : -1;
    let least = Infinity;
    for (let j = 0; j < depths.length; j += 1) {
      const mean = depths[j]! + heave * up[j]!;
      const lean = leans[j]! + heave * lift[j]! + tilt * across[j]!;
      const marks = held.get(j);
      least = Math.min(least, marks ? lowerHeld(mean, lean, marks) : mean - Math.abs(lean) / 2);
    }
    lowest[turn] = least;
  }
}

/** How much of an edge must be out of level to matter, mm: no more than half of what is known of it. */
const mattersOf = (lengths: Float64Array): number =>
  Math.min(LENGTH_THAT_MATTERS, lengths.reduce((sum, each) => sum + each, 0) / 2);

/**
 * Whether a drawn edge is out of level over a length that matters, and which way: above 0 the near rail is the high
 * one.
 */
function leansIn(steps: Float64Array, from: number, lengths: Float64Array, stepLimit: number, matters: number): number {
  let [near, far] = [0, 0];
  for (let j = 0; j < lengths.length; j += 1) {
    const step = steps[from + j]!;
    if (step > stepLimit) near += lengths[j]!;
    else if (step < -stepLimit) far += lengths[j]!;
  }
  return near + far >= matters ? (near >= far ? 1 : -1) : 0;
}

/** How many draws of an edge are out of level, and in how many of those the near rail is the high one. */
export interface Leaning {
  readonly unlevel: number;
  readonly near: number;
  readonly draws: number;
}

/** Counts the draws of steps that are out of level. */
export function leaning(steps: Float64Array, places: readonly number[], stepLimit: number): Leaning {
  const lengths = stretches(places, LENGTH_THAT_MATTERS);
  const matters = mattersOf(lengths);
  const draws = steps.length / places.length;
  let [unlevel, near] = [0, 0];
  for (let draw = 0; draw < draws; draw += 1) {
    const way = leansIn(steps, draw * places.length, lengths, stepLimit, matters);
    if (way !== 0) unlevel += 1;
    if (way > 0) near += 1;
  }
  return { unlevel, near, draws };
}

/** Least depths of a tested edge, path by path, laid over those of the other edge. */
function leastOfPaths(
  { depths, steps }: RailPaths,
  { places, within, held }: EdgeFit,
  least: Float64Array,
  first: number,
): void {
  const size = places.length;
  for (let draw = first; draw < least.length; draw += 1) {
    let lowest = Infinity;
    for (let j = within[0]; j <= within[1]; j += 1) {
      const [mean, lean] = [depths[draw * size + j]!, steps[draw * size + j]!];
      const marks = held.get(j);
      lowest = Math.min(lowest, marks ? lowerHeld(mean, lean, marks) : mean - Math.abs(lean) / 2);
    }
    if (lowest < least[draw]!) least[draw] = lowest;
  }
}

/**
 * Least depths of an edge drawn over those of the other, from a row on to the last.
 * @returns in how many of these draws the edge is out of level
 */
export function drawEdge(
  fitted: EdgeFit,
  stepLimit: number,
  least: Float64Array,
  points: readonly Float64Array[],
  offset: number,
  from: number,
): number {
  const { places, rails, dips, held } = fitted;
  const size = places.length;
  if (rails.tested) {
    const { paths } = rails.tested;
    leastOfPaths(paths, fitted, least, DRAWS_PER_ROW * from);
    for (const dip of dips) drawDip(dip, least, points, DRAWS_PER_ROW * from);
    return leaning(paths.steps.subarray(size * DRAWS_PER_ROW * from, size * least.length), places, stepLimit).unlevel;
  }
  const deviations = { up: new Float64Array(size), lift: new Float64Array(size), across: new Float64Array(size) };
  const lengths = stretches(places, LENGTH_THAT_MATTERS);
  const matters = mattersOf(lengths);
  const row: RowDraw = { lowest: new Float64Array(DRAWS_PER_ROW), unlevel: new Float64Array(DRAWS_PER_ROW) };
  const rows = least.length / DRAWS_PER_ROW;
  let unlevel = 0;
  for (let i = from; i < rows; i += 1) {
    const means = rails.draw(i, points, offset, deviations);
    drawRow(means, deviations, lengths, stepLimit, row);
    if (held.size > 0) lowestHeld(means, deviations, held, row.lowest);
    for (let turn = 0; turn < DRAWS_PER_ROW; turn += 1) {
      const draw = DRAWS_PER_ROW * i + turn;
      if (row.unlevel[turn]! >= matters) unlevel += 1;
      if (row.lowest[turn]! < least[draw]!) least[draw] = row.lowest[turn]!;
    }
  }
  for (const dip of dips) drawDip(dip, least, points, DRAWS_PER_ROW * from);
  return unlevel;
}

/** Where each draw falls when they are spread evenly, 0…1: worked out once. */
const SPREAD_OVER = Float64Array.from(
  { length: DRAWS_PER_ROW * CLOSE_ROWS },
  (_, draw) => ((draw + 0.5) * SPREADS[2]) % 1,
);

/** Columns that dips draw from; every table has them. */
const DIP_COLUMNS = 128;

/** A dip of a single reading, laid over what was drawn as often as it is likely. */
function drawDip(
  { chance, value, own, key }: Dip,
  drawn: Float64Array,
  points: readonly Float64Array[],
  from: number,
): void {
  const shift = (key * SPREADS[0]) % 1;
  for (let draw = from; draw < drawn.length; draw += 1) {
    const share = SPREAD_OVER[draw]! + shift;
    if ((share >= 1 ? share - 1 : share) >= chance) continue;
    const low = value + own * points[draw % points.length]![(7 * key + (draw >> 6)) % DIP_COLUMNS]!;
    if (low < drawn[draw]!) drawn[draw] = low;
  }
}

/** Both rails at a place, in the order of the draws of the least. */
export interface PlaceDraws {
  readonly at: number;
  /** The station that stands there, by its number on the sheet; null between stations. */
  readonly station: number | null;
  readonly rails: Readonly<Record<Rail, Float64Array>>;
}

/**
 * Depths of both rails all along an edge, draw by draw as the least was drawn: what another reading there would tell of
 * it.
 */
export function drawPlaces(
  { places, within, rails, dips, held, sorted }: EdgeFit,
  points: readonly Float64Array[],
  offset: number,
  rows: number,
): readonly PlaceDraws[] {
  const size = places.length;
  const deviations = { up: new Float64Array(size), lift: new Float64Array(size), across: new Float64Array(size) };
  const drawn = places.map((at): PlaceDraws => ({
    at,
    station: sorted.find((station) => station.at === at)?.index ?? null,
    rails: { near: new Float64Array(DRAWS_PER_ROW * rows), far: new Float64Array(DRAWS_PER_ROW * rows) },
  }));
  const put = (draw: number, j: number, mean: number, lean: number): void => {
    const marks = held.get(j);
    const [a, b] = [mean + lean / 2, mean - lean / 2];
    drawn[j]!.rails.near[draw] = marks?.near ? heldBetween(a, marks.near) : a;
    drawn[j]!.rails.far[draw] = marks?.far ? heldBetween(b, marks.far) : b;
  };
  const { paths } = rails.tested ?? {};
  for (let draw = 0; paths && draw < DRAWS_PER_ROW * rows; draw += 1)
    for (let j = 0; j < size; j += 1) put(draw, j, paths.depths[draw * size + j]!, paths.steps[draw * size + j]!);
  for (let i = 0; !paths && i < rows; i += 1) {
    const { depths, leans } = rails.draw(i, points, offset, deviations);
    const { up, lift, across } = deviations;
    for (let turn = 0; turn < DRAWS_PER_ROW; turn += 1) {
      const [heave, tilt] = [turn % 2 === 0 ? 1 : -1, turn < 2 ? 1 : -1];
      for (let j = 0; j < size; j += 1) {
        const mean = depths[j]! + heave * up[j]!;
        put(DRAWS_PER_ROW * i + turn, j, mean, leans[j]! + heave * lift[j]! + tilt * across[j]!);
      }
    }
  }
  for (const dip of dips) {
    const place = drawn[places.indexOf(sorted[dip.key]!.at)]!;
    drawDip(dip, place.rails[dip.rail], points, 0);
  }
  return drawn.slice(within[0], within[1] + 1);
}
