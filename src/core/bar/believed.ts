import {
  believedAt,
  CLEAR_ROWS,
  CLOSE_ROWS,
  deviate,
  dipChance,
  DRAWS_PER_ROW,
  heldBetween,
  isClear,
  layoutOf,
  normalPoints,
  pick,
  profileBelief,
  SPREADS,
  type Least,
  type ProfileBelief,
  type Sighting,
} from '../belief';
import { mm, ownUncertainty, sharedUncertainty, type Estimate, type InstrumentId } from '../quantity';
import { contradictsStep, markerSaysStep, squareSays, standsSays, type EdgeStands, type StepSaid } from './level-tests';
import { ANY_LEVEL, commonToolOf, LEVEL_OR_NOT, placesAlong } from './profile-prior';
import { EDGES, step, type Edge, type Rail, type Station } from './station';

/** What is believed of both rails at one place, mm. The step is near less far. */
export interface BelievedPlace {
  readonly at: number;
  readonly near: Estimate;
  readonly far: Estimate;
  readonly step: Estimate;
}

/** What is believed of one edge from all its readings together. */
export interface EdgeBelief {
  /** Along the edge, stations and places between them. */
  readonly places: readonly BelievedPlace[];
  /** At each station, in the order of the sheet; null where no depth was measured. */
  readonly stations: readonly (BelievedPlace | null)[];
  /** Chance that the rails stand out of level by more than the limit over a length that matters. */
  readonly stepChance: number;
}

/** What is believed of a bar's depth and levelness from all readings together. */
export interface BarBelief {
  readonly edges: Readonly<Record<Edge, EdgeBelief | null>>;
  /** The least depth anywhere between the outermost stations; null where no depth was measured. */
  readonly least: Least | null;
  /** The station and rail that most likely hold the least depth. */
  readonly leastAt: { readonly edge: Edge; readonly station: number; readonly rail: Rail } | null;
}

/** Out of level over less than this is not worth a file, mm (common practice, no source). */
export const LENGTH_THAT_MATTERS = 30;

/** Where only one rail was measured, the other is thought to lie this near, mm. */
const OTHER_RAIL = 0.1;

/** The variance that a reading has for itself; of another tool also that tool's own error. */
function ownVariance(reading: Estimate, common: InstrumentId | null): number {
  return reading.tool === common ? ownUncertainty(reading) ** 2 : reading.u ** 2;
}

function depthSighting({ at, near, far }: Station, common: InstrumentId | null): Sighting | null {
  if (near && far)
    return {
      at,
      value: (near.value + far.value) / 2,
      variance: (ownVariance(near, common) + ownVariance(far, common)) / 4,
    };
  const one = near ?? far;
  return one && { at, value: one.value, variance: ownVariance(one, common) + OTHER_RAIL ** 2 / 4 };
}

/** Readings of one place as one, each by its precision. */
function together(at: number, said: readonly StepSaid[]): Sighting | null {
  const precision = said.reduce((sum, { u }) => sum + 1 / u ** 2, 0);
  if (precision === 0) return null;
  return {
    at,
    value: said.reduce((sum, { value, u }) => sum + value / u ** 2, 0) / precision,
    variance: 1 / precision,
  };
}

/** What a station says of its step: as measured, and by the tests that do not contradict that. */
function stepSighting(station: Station): Sighting | null {
  const measured = step(station);
  const tests = [squareSays(station), markerSaysStep(station)].flatMap((said) =>
    said && !contradictsStep(said, measured) ? [said] : [],
  );
  return together(station.at, measured ? [{ value: measured.value, u: measured.u }, ...tests] : tests);
}

/** The mean step as measured, or null. */
function meanOf(sightings: readonly Sighting[]): Estimate | null {
  if (sightings.length === 0) return null;
  const precision = sightings.reduce((sum, { variance }) => sum + 1 / variance, 0);
  const value = sightings.reduce((sum, each) => sum + each.value / each.variance, 0) / precision;
  return { value: mm(value), u: Math.sqrt(1 / precision) };
}

/** Steps along an edge, and the edge stood up as one more reading in its middle. */
function stepSightings(stations: readonly Station[], stands: EdgeStands[Edge]): readonly Sighting[] {
  const found = stations.flatMap((station) => stepSighting(station) ?? []);
  const said = standsSays(stands);
  if (!said || stations.length === 0 || contradictsStep(said, meanOf(found))) return found;
  const middle = (stations[0]!.at + stations.at(-1)!.at) / 2;
  return [...found, { at: middle, value: said.value, variance: said.u ** 2 }];
}

/** The two processes that an edge is believed to be: the mean of its rails, and near less far. */
interface EdgeFit {
  readonly sorted: readonly Station[];
  readonly places: readonly number[];
  readonly depth: ProfileBelief;
  readonly step: ProfileBelief;
  readonly dips: readonly Dip[];
  /** Marks that hold a rail at a place, by the place's number. */
  readonly held: ReadonlyMap<number, Held>;
}

type Held = Readonly<Record<Rail, Estimate['between']>>;

/** A reading that may stand in a dip of its own. */
interface Dip {
  readonly chance: number;
  readonly value: number;
  readonly own: number;
  /** Both rails of a station draw alike, so that the mirror image of a bar is judged alike. */
  readonly key: number;
}

/** Dips less likely than this are not drawn. */
const LEAST_DIP = 0.01;

function dipsOf(
  { sorted, places, depth, step: steps }: Omit<EdgeFit, 'dips' | 'held'>,
  common: InstrumentId | null,
): readonly Dip[] {
  return sorted.flatMap(({ at, near, far }, key): readonly Dip[] => {
    if (!near || !far) return [];
    const j = places.indexOf(at);
    const [mean, lean] = [believedAt(depth, j), believedAt(steps, j)];
    const rail = (reading: Estimate, sign: 1 | -1): Dip => {
      const variance = ownVariance(reading, common);
      const sighting = { at, value: reading.value, variance };
      const chance = dipChance(sighting, mean.mean + (sign * lean.mean) / 2, mean.u ** 2 + lean.u ** 2 / 4);
      return { chance, value: reading.value, own: Math.sqrt(variance), key };
    };
    const both = dipChance(depthSighting({ at, near, far } as Station, common)!, mean.mean, mean.u ** 2);
    return [rail(near, 1), rail(far, -1)]
      .map((dip) => ({ ...dip, chance: Math.max(dip.chance, both) }))
      .filter(({ chance }) => chance >= LEAST_DIP);
  });
}

function fitEdge(stations: readonly Station[], stands: EdgeStands[Edge], common: InstrumentId | null): EdgeFit | null {
  const sorted = stations
    .filter(({ near, far }) => near ?? far)
    .sort(
      (a, b) => a.at - b.at || (a.near?.value ?? 0) + (a.far?.value ?? 0) - (b.near?.value ?? 0) - (b.far?.value ?? 0),
    );
  const depths = sorted.flatMap((station) => depthSighting(station, common) ?? []);
  if (depths.length === 0) return null;
  const places = placesAlong(depths.map(({ at }) => at));
  const steps = stepSightings(sorted, stands);
  const layout = layoutOf(
    depths.map(({ at }) => at),
    places,
  );
  const sameAts = steps.length === depths.length && steps.every(({ at }, i) => at === depths[i]!.at);
  const stepLayout = sameAts
    ? layout
    : layoutOf(
        steps.map(({ at }) => at),
        places,
      );
  const fitted = {
    sorted,
    places,
    depth: profileBelief(depths, layout, ANY_LEVEL),
    step: profileBelief(steps, stepLayout, LEVEL_OR_NOT),
  };
  const held = new Map(
    sorted.flatMap(({ at, near, far }): readonly (readonly [number, Held])[] =>
      (near?.between ?? far?.between) ? [[places.indexOf(at), { near: near?.between, far: far?.between }]] : [],
    ),
  );
  return { ...fitted, dips: dipsOf(fitted, common), held };
}

/** The lower rail of one draw at a place where marks hold one rail or both. */
function lowerHeld(mean: number, lean: number, { near, far }: Held): number {
  const [a, b] = [mean + lean / 2, mean - lean / 2];
  return Math.min(near ? heldBetween(a, near) : a, far ? heldBetween(b, far) : b);
}

/** The length of edge that each place stands for, mm; a lone station stands for whatever is asked. */
function stretches(places: readonly number[]): Float64Array {
  const last = places.length - 1;
  const lengths = new Float64Array(places.length);
  for (let j = 0; j <= last; j += 1) lengths[j] = (places[Math.min(last, j + 1)]! - places[Math.max(0, j - 1)]!) / 2;
  if (last === 0) lengths[0] = LENGTH_THAT_MATTERS;
  return lengths;
}

/** The four lowest places that one row of points gives an edge, its signs turned, and the lengths that are out of level. */
interface RowDraw {
  readonly lowest: Float64Array;
  /** For the lean as drawn and turned. */
  readonly unlevel: Float64Array;
}

/** Draws one row: mean ± deviation of the depth, lean ± deviation of the step. All four turns are worked out in one pass. */
function drawRow(
  depths: Float64Array,
  up: Float64Array,
  leans: Float64Array,
  across: Float64Array,
  lengths: Float64Array,
  stepLimit: number,
  held: EdgeFit['held'],
  { lowest, unlevel }: RowDraw,
): void {
  lowest.fill(Infinity);
  unlevel.fill(0);
  const isHeld = held.size > 0;
  for (let j = 0; j < depths.length; j += 1) {
    const high = depths[j]! + up[j]!;
    const low = depths[j]! - up[j]!;
    const one = leans[j]! + across[j]!;
    const other = leans[j]! - across[j]!;
    const wide = Math.abs(one);
    const narrow = Math.abs(other);
    if (wide > stepLimit) unlevel[0] = unlevel[0]! + lengths[j]!;
    if (narrow > stepLimit) unlevel[1] = unlevel[1]! + lengths[j]!;
    const marks = isHeld ? held.get(j) : undefined;
    const a = marks ? lowerHeld(high, one, marks) : high - wide / 2;
    const b = marks ? lowerHeld(low, one, marks) : low - wide / 2;
    const c = marks ? lowerHeld(high, other, marks) : high - narrow / 2;
    const d = marks ? lowerHeld(low, other, marks) : low - narrow / 2;
    if (a < lowest[0]!) lowest[0] = a;
    if (b < lowest[1]!) lowest[1] = b;
    if (c < lowest[2]!) lowest[2] = c;
    if (d < lowest[3]!) lowest[3] = d;
  }
}

/** Least depths of an edge drawn over those of the other, and how often the edge is out of level. */
function drawEdge(
  { places, depth, step: steps, dips, held }: EdgeFit,
  stepLimit: number,
  least: Float64Array,
  points: readonly Float64Array[],
  offset: number,
): number {
  const size = places.length;
  const up = new Float64Array(size);
  const across = new Float64Array(size);
  const lengths = stretches(places);
  const whole = lengths.reduce((sum, each) => sum + each, 0);
  const matters = Math.min(LENGTH_THAT_MATTERS, whole / 2);
  const row: RowDraw = { lowest: new Float64Array(DRAWS_PER_ROW), unlevel: new Float64Array(2) };
  const rows = least.length / DRAWS_PER_ROW;
  let unlevel = 0;
  for (let i = 0; i < rows; i += 1) {
    const mean = pick(depth.components, ((i + 0.5) * SPREADS[0]) % 1);
    const lean = pick(steps.components, ((i + 0.5) * SPREADS[1]) % 1);
    deviate(mean, points[i]!, offset, up);
    deviate(lean, points[i]!, offset + size, across);
    drawRow(mean.mean, up, lean.mean, across, lengths, stepLimit, held, row);
    // Each lean is drawn with two depths.
    if (row.unlevel[0]! >= matters) unlevel += 2;
    if (row.unlevel[1]! >= matters) unlevel += 2;
    for (let turn = 0; turn < DRAWS_PER_ROW; turn += 1) {
      const draw = DRAWS_PER_ROW * i + turn;
      if (row.lowest[turn]! < least[draw]!) least[draw] = row.lowest[turn]!;
    }
  }
  drawDips(dips, least, points);
  return unlevel / least.length;
}

/** Where each draw falls when they are spread evenly, 0…1: worked out once. */
const SPREAD_OVER = Float64Array.from(
  { length: DRAWS_PER_ROW * CLOSE_ROWS },
  (_, draw) => ((draw + 0.5) * SPREADS[2]) % 1,
);

/** Columns that dips draw from; every table has them. */
const DIP_COLUMNS = 128;

/** Dips of single readings, laid over the draws as often as they are likely. */
function drawDips(dips: readonly Dip[], least: Float64Array, points: readonly Float64Array[]): void {
  for (const { chance, value, own, key } of dips) {
    const shift = (key * SPREADS[0]) % 1;
    for (let draw = 0; draw < least.length; draw += 1) {
      const share = SPREAD_OVER[draw]! + shift;
      if ((share >= 1 ? share - 1 : share) >= chance) continue;
      const low = value + own * points[draw % points.length]![(7 * key + (draw >> 6)) % DIP_COLUMNS]!;
      if (low < least[draw]!) least[draw] = low;
    }
  }
}

/** What is believed at one place of an edge. */
function placeBelief({ places, depth, step: steps }: EdgeFit, j: number, common: number): BelievedPlace {
  const [mean, lean] = [believedAt(depth, j), believedAt(steps, j)];
  const u = Math.hypot(mean.u, lean.u / 2, common);
  return {
    at: places[j]!,
    near: { value: mm(mean.mean + lean.mean / 2), u },
    far: { value: mm(mean.mean - lean.mean / 2), u },
    step: { value: mm(lean.mean), u: lean.u },
  };
}

function edgeBelief(fitted: EdgeFit, stations: readonly Station[], common: number, stepChance: number): EdgeBelief {
  const places = fitted.places.map((_, j) => placeBelief(fitted, j, common));
  const by = new Map(places.map((place) => [place.at, place]));
  return {
    places,
    stations: stations.map(({ at, near, far }) => ((near ?? far) ? (by.get(at) ?? null) : null)),
    stepChance,
  };
}

/** What draws say of both edges. */
interface Drawn {
  readonly least: Least;
  readonly stepChance: Readonly<Record<Edge, number>>;
}

function drawBoth(fits: Readonly<Record<Edge, EdgeFit | null>>, asked: Asked, common: number, rows: number): Drawn {
  const size = (edge: Edge) => 2 * (fits[edge]?.places.length ?? 0);
  const points = normalPoints(size('A') + size('B'));
  const draws = new Float64Array(DRAWS_PER_ROW * rows).fill(Infinity);
  const chance = (edge: Edge, offset: number): number => {
    const fitted = fits[edge];
    return fitted ? drawEdge(fitted, asked.step, draws, points, offset) : 0;
  };
  const stepChance = { A: chance('A', 0), B: chance('B', size('A')) };
  return { least: { draws, common }, stepChance };
}

/** A chance of a step between these is no clear answer. */
const CLEAR_CHANCE = 0.02;

const isClearChance = (chance: number): boolean => Math.min(chance, 1 - chance) <= CLEAR_CHANCE;

/** Dips as likely as not decide by their own reading. */
const MORE_LIKELY_THAN_NOT = 0.5;

function weakestPlace(fits: Readonly<Record<Edge, EdgeFit | null>>, beliefs: BarBelief['edges']): BarBelief['leastAt'] {
  let found: { at: NonNullable<BarBelief['leastAt']>; depth: number } | null = null;
  for (const edge of EDGES) {
    const [fitted, belief] = [fits[edge], beliefs[edge]];
    if (!fitted || !belief) continue;
    fitted.sorted.forEach((station, key) => {
      for (const rail of ['near', 'far'] as const) {
        const reading = station[rail];
        const believed = belief.stations[station.index]?.[rail].value;
        if (!reading || believed === undefined) continue;
        const dipped = fitted.dips.some(
          (dip) => dip.key === key && dip.chance > MORE_LIKELY_THAN_NOT && dip.value === reading.value,
        );
        const depth = dipped ? Math.min(believed, reading.value) : believed;
        if (!found || depth < found.depth) found = { at: { edge, station: station.index, rail }, depth };
      }
    });
  }
  return (found as { at: NonNullable<BarBelief['leastAt']> } | null)?.at ?? null;
}

/** What a belief is asked: the levels that the least depth is held against, and the step that counts as out of level, mm. */
export interface Asked {
  readonly depths: readonly number[];
  readonly step: number;
}

/**
 * What is believed of a bar from all its readings together: each edge's rails are a smooth mean and a smooth difference, read with one tool whose own error is common
 * to all; narrow dips are weighed for each reading by itself. One question is then asked of all of it: how deep is the least place anywhere? It is answered by few
 * draws where they lie far from every limit, and by many where one is near.
 */
export function barBelief(
  stations: Readonly<Record<Edge, readonly Station[]>>,
  stands: EdgeStands,
  asked: Asked,
): BarBelief {
  const readings = [...stations.A, ...stations.B].flatMap(({ near, far }) => [near, far].flatMap((each) => each ?? []));
  if (readings.length === 0) return { edges: { A: null, B: null }, least: null, leastAt: null };
  const tool = commonToolOf(readings);
  const common = tool ? sharedUncertainty(tool) : 0;
  const fits = { A: fitEdge(stations.A, stands.A, tool), B: fitEdge(stations.B, stands.B, tool) };
  const few = drawBoth(fits, asked, common, CLEAR_ROWS);
  const isSettled = EDGES.every((edge) => isClearChance(few.stepChance[edge])) && isClear(few.least, asked.depths);
  const { least, stepChance } = isSettled ? few : drawBoth(fits, asked, common, CLOSE_ROWS);
  const believed = (edge: Edge): EdgeBelief | null => {
    const fitted = fits[edge];
    return fitted && edgeBelief(fitted, stations[edge], common, stepChance[edge]);
  };
  const edges = { A: believed('A'), B: believed('B') };
  return { edges, least, leastAt: weakestPlace(fits, edges) };
}
