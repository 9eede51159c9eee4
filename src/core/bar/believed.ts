import {
  CLEAR_ROWS,
  CLOSE_ROWS,
  dipChance,
  DRAWS_PER_ROW,
  heldBetween,
  isClear,
  layoutOf,
  normalPoints,
  pairBelief,
  profileBelief,
  SPREADS,
  type Least,
  type PairMake,
  type PairSighting,
  type ProfileBelief,
  type Sighting,
} from '../belief';
import { mm, ownUncertainty, sharedUncertainty, type Estimate, type InstrumentId } from '../quantity';
import { contradictsStep, markerSaysStep, squareSays, standsSays, type EdgeStands, type StepSaid } from './level-tests';
import { ANY_LEVEL, commonToolOf, LEVEL_OR_NOT, placesAlong } from './profile-prior';
import { apart, together, type RailsAt, type RailsBelief, type RowDeviations } from './rails-belief';
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
function asOne(at: number, said: readonly StepSaid[]): Sighting | null {
  const precision = said.reduce((sum, { u }) => sum + 1 / u ** 2, 0);
  if (precision === 0) return null;
  return {
    at,
    value: said.reduce((sum, { value, u }) => sum + value / u ** 2, 0) / precision,
    variance: 1 / precision,
  };
}

/** The level tests of a station that its measured step does not contradict. */
function testsOf(station: Station): readonly StepSaid[] {
  const measured = step(station);
  return [squareSays(station), markerSaysStep(station)].flatMap((said) =>
    said && !contradictsStep(said, measured) ? [said] : [],
  );
}

/** What a station says of its step: as measured, and by the tests that do not contradict that. */
function stepSighting(station: Station): Sighting | null {
  const measured = step(station);
  const tests = testsOf(station);
  return asOne(station.at, measured ? [{ value: measured.value, u: measured.u }, ...tests] : tests);
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
  readonly rails: RailsBelief;
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

/** Mean and variance of a rail at a place: half the step above or below the mean of both. */
function railAt({ depth, step: lean, covariance }: RailsAt, sign: 1 | -1): { mean: number; variance: number } {
  return {
    mean: depth.mean + (sign * lean.mean) / 2,
    variance: depth.u ** 2 + lean.u ** 2 / 4 + sign * covariance,
  };
}

/** Dips of single readings, or of both rails of a station where they were read alike. */
function dipsOf(sorted: readonly Station[], rails: RailsBelief, common: InstrumentId | null): readonly Dip[] {
  return sorted.flatMap((station, key): readonly Dip[] => {
    const { at, near, far } = station;
    const believed = rails.at(rails.places.indexOf(at));
    const both = near && far && isReadAlike(station, common) ? depthSighting(station, common) : null;
    const bothDip = both ? dipChance(both, believed.depth.mean, believed.depth.u ** 2) : 0;
    const rail = (reading: Estimate | null, sign: 1 | -1): readonly Dip[] => {
      if (!reading) return [];
      const own = ownVariance(reading, common);
      const { mean, variance } = railAt(believed, sign);
      const chance = dipChance({ at, value: reading.value, variance: own }, mean, variance);
      return [{ chance: Math.max(chance, bothDip), value: reading.value, own: Math.sqrt(own), key }];
    };
    return [...rail(near, 1), ...rail(far, -1)].filter(({ chance }) => chance >= LEAST_DIP);
  });
}

/** Variances this near count as alike. */
const ALIKE = 0.8;

/** Whether both rails of a station were read, and alike: then their mean and their difference tell nothing of each other. */
function isReadAlike({ near, far }: Station, common: InstrumentId | null): boolean {
  if (!near || !far) return false;
  const [a, b] = [ownVariance(near, common), ownVariance(far, common)];
  return Math.min(a, b) >= ALIKE * Math.max(a, b);
}

/** Everything that was read of an edge, each as so much of the mean and so much of the step. */
function pairSightings(
  sorted: readonly Station[],
  stands: EdgeStands[Edge],
  common: InstrumentId | null,
): readonly PairSighting[] {
  const rail = (at: number, reading: Estimate | null, second: number): readonly PairSighting[] =>
    reading ? [{ at, first: 1, second, value: reading.value, variance: ownVariance(reading, common) }] : [];
  const said = (at: number, { value, u }: StepSaid): PairSighting => ({
    at,
    first: 0,
    second: 1,
    value,
    variance: u ** 2,
  });
  const whole = standsSays(stands);
  const steps = sorted.flatMap((station) => stepSighting(station) ?? []);
  const middle = (sorted[0]!.at + sorted.at(-1)!.at) / 2;
  return [
    ...sorted.flatMap((station) => [
      ...rail(station.at, station.near, 1 / 2),
      ...rail(station.at, station.far, -1 / 2),
      ...testsOf(station).map((test) => said(station.at, test)),
    ]),
    ...(whole && !contradictsStep(whole, meanOf(steps)) ? [said(middle, whole)] : []),
  ];
}

/** Pairs of makes that are tried together where rails were not read alike: the likeliest of each by itself. */
const MOST_PAIRS = 6;

function likelyPairs(depth: ProfileBelief, steps: ProfileBelief): readonly PairMake[] {
  return depth.components
    .flatMap((first) =>
      steps.components.map((second) => ({
        likely: first.weight * second.weight,
        make: { first: first.made, second: second.made, weight: first.made.weight * second.made.weight },
      })),
    )
    .sort((a, b) => b.likely - a.likely)
    .slice(0, MOST_PAIRS)
    .map(({ make }) => make);
}

function railsOf(sorted: readonly Station[], stands: EdgeStands[Edge], common: InstrumentId | null): RailsBelief {
  const depths = sorted.flatMap((station) => depthSighting(station, common) ?? []);
  const steps = stepSightings(sorted, stands);
  const ats = depths.map(({ at }) => at);
  const stepAts = steps.map(({ at }) => at);
  const places = placesAlong(ats);
  const layout = layoutOf(ats, places);
  const isSame = stepAts.length === ats.length && stepAts.every((at, i) => at === ats[i]);
  const depth = profileBelief(depths, layout, ANY_LEVEL);
  const lean = profileBelief(steps, isSame ? layout : layoutOf(stepAts, places), LEVEL_OR_NOT);
  if (sorted.every((station) => isReadAlike(station, common))) return apart(depth, lean);
  const centre = depths.reduce((sum, { value }) => sum + value, 0) / depths.length;
  return together(pairBelief(pairSightings(sorted, stands, common), places, likelyPairs(depth, lean), centre), places);
}

function fitEdge(stations: readonly Station[], stands: EdgeStands[Edge], common: InstrumentId | null): EdgeFit | null {
  const sorted = stations
    .filter(({ near, far }) => near ?? far)
    .sort(
      (a, b) => a.at - b.at || (a.near?.value ?? 0) + (a.far?.value ?? 0) - (b.near?.value ?? 0) - (b.far?.value ?? 0),
    );
  if (sorted.length === 0) return null;
  const rails = railsOf(sorted, stands, common);
  const held = new Map(
    sorted.flatMap(({ at, near, far }): readonly (readonly [number, Held])[] =>
      (near?.between ?? far?.between) ? [[rails.places.indexOf(at), { near: near?.between, far: far?.between }]] : [],
    ),
  );
  return { sorted, places: rails.places, rails, dips: dipsOf(sorted, rails, common), held };
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
  readonly unlevel: Float64Array;
}

/**
 * Draws one row, its points turned in four ways: the depth up or down with what of the step goes with it, and the rest of the step across or back. The turns are written
 * out: this is the innermost loop of a judgement.
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

/** Least depths of an edge drawn over those of the other, and how often the edge is out of level. */
function drawEdge(
  { places, rails, dips, held }: EdgeFit,
  stepLimit: number,
  least: Float64Array,
  points: readonly Float64Array[],
  offset: number,
): number {
  const size = places.length;
  const deviations = { up: new Float64Array(size), lift: new Float64Array(size), across: new Float64Array(size) };
  const lengths = stretches(places);
  const whole = lengths.reduce((sum, each) => sum + each, 0);
  const matters = Math.min(LENGTH_THAT_MATTERS, whole / 2);
  const row: RowDraw = { lowest: new Float64Array(DRAWS_PER_ROW), unlevel: new Float64Array(DRAWS_PER_ROW) };
  const rows = least.length / DRAWS_PER_ROW;
  let unlevel = 0;
  for (let i = 0; i < rows; i += 1) {
    const means = rails.draw(i, points, offset, deviations);
    drawRow(means, deviations, lengths, stepLimit, row);
    if (held.size > 0) lowestHeld(means, deviations, held, row.lowest);
    for (let turn = 0; turn < DRAWS_PER_ROW; turn += 1) {
      const draw = DRAWS_PER_ROW * i + turn;
      if (row.unlevel[turn]! >= matters) unlevel += 1;
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
function placeBelief({ places, rails }: EdgeFit, j: number, common: number): BelievedPlace {
  const believed = rails.at(j);
  const rail = (sign: 1 | -1): Estimate => {
    const { mean, variance } = railAt(believed, sign);
    return { value: mm(mean), u: Math.hypot(Math.sqrt(Math.max(0, variance)), common) };
  };
  return {
    at: places[j]!,
    near: rail(1),
    far: rail(-1),
    step: { value: mm(believed.step.mean), u: believed.step.u },
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
