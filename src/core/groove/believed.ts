import { flatMap } from '../flat-map';
import {
  CLEAR_ROWS,
  CLOSE_ROWS,
  designsOfSheet,
  DRAWS_PER_ROW,
  isClear,
  leastValue,
  normalPoints,
  type Designs,
  type Least,
} from '../belief';
import { atOnce, type Stages } from '../stages';
import { chanceAbove, quadrature, mm, type Estimate, type InstrumentId } from '../quantity';
import { drawEdge, drawPlaces, leaning, type PlaceDraws } from './edge-draws';
import { fitEdge, railAt, type EdgeFit } from './edge-fit';
import { DEEPEST_DIP, dipsPerMm, hiddenDips, layDips, type RailLine } from './hidden-dips';
import { stretches, testedSteps, testedPlaces, type TestFound } from './edge-level';
import { levelTestsOf, type EdgeStands, type LevelTest } from './level-tests';
import { commonOf, commonToolOf, placesAlong } from './profile-prior';
import { step, type Station } from './station';
import { EDGES, type Edge, type Rail } from '../declared';

/** What is believed of both rails at one place, mm. The step is near less far. */
export interface BelievedPlace {
  readonly at: number;
  readonly near: Estimate;
  readonly far: Estimate;
  readonly step: Estimate;
}

/** What is believed of one edge from all its readings together: depths and level tests. */
export interface EdgeBelief {
  /** Along the edge, stations and places between them; empty where no depth was measured. */
  readonly places: readonly BelievedPlace[];
  /** At each station, in the order of the sheet; null where no depth was measured. */
  readonly stations: readonly (BelievedPlace | null)[];
  /**
   * The step at each station, in the order of the sheet; null where neither depth nor level test tells of the place.
   */
  readonly steps: readonly (Estimate | null)[];
  /** The mean step of the edge. */
  readonly meanStep: Estimate;
  /** Along the edge, the chance that the rails stand out of level there by more than the limit. */
  readonly unlevel: readonly { readonly at: number; readonly chance: number }[];
  /** Chance that the rails stand out of level by more than the limit over a length that matters. */
  readonly stepChance: number;
  /** The level tests, each with how likely its answer was by all else that is known. */
  readonly tests: readonly TestFound[];
  /** Whether level tests alone tell of the step: by how much a rail stands high nobody has measured. */
  readonly byHand: boolean;
}

/** What is believed of a bar's depth and levelness from all readings together. */
export interface BarBelief {
  readonly edges: Readonly<Record<Edge, EdgeBelief | null>>;
  /** The least depth anywhere between the outermost stations; null where no depth was measured. */
  readonly least: Least | null;
  /** The station and rail that most likely hold the least depth. */
  readonly leastAt: { readonly edge: Edge; readonly station: number; readonly rail: Rail } | null;
  /** The tool that most depths were read with: its own error is in all of them. */
  readonly tool: InstrumentId | null;
  /** Both edges draw by draw, as the least was drawn. It is work, and done only where somebody asks. */
  readonly along: () => Readonly<Record<Edge, readonly PlaceDraws[]>>;
}

/** What is believed at one place of an edge. */
function placeBelief({ places, rails }: EdgeFit, j: number, common: number): BelievedPlace {
  const believed = rails.at[j]!;
  const rail = (sign: 1 | -1): Estimate => {
    const { mean, variance } = railAt(believed, sign);
    return { value: mm(mean), u: quadrature(Math.sqrt(Math.max(0, variance)), common) };
  };
  return {
    at: places[j]!,
    near: rail(1),
    far: rail(-1),
    step: { value: mm(believed.step.mean), u: believed.step.u },
  };
}

/** The mean of steps along an edge. */
function meanOf(steps: readonly Estimate[], places: readonly number[]): Estimate {
  const lengths = stretches(places, 1);
  const whole = lengths.reduce((sum, each) => sum + each, 0);
  const value = steps.reduce((sum, step, j) => sum + (step.value * lengths[j]!) / whole, 0);
  // Neighbours go together: what is not known of one is not known of the next.
  const u = steps.reduce((sum, step, j) => sum + (step.u * lengths[j]!) / whole, 0);
  return { value: mm(value), u };
}

/** The chance that a step is beyond a limit, either rail high. */
const beyond = ({ value, u }: Estimate, limit: number): number =>
  1 - chanceAbove(limit - value, u) + 1 - chanceAbove(limit + value, u);

function edgeBelief(
  fitted: EdgeFit,
  stations: readonly Station[],
  common: number,
  stepChance: number,
  stepLimit: number,
): EdgeBelief {
  const [first, last] = fitted.within;
  const all = fitted.places.map((_, j) => placeBelief(fitted, j, common));
  const places = all.slice(first, last + 1);
  const by = new Map(places.map((place) => [place.at, place]));
  const steps = new Map(all.map(({ at, step }) => [at, step]));
  return {
    places,
    stations: stations.map(({ at, near, far }) => ((near ?? far) ? (by.get(at) ?? null) : null)),
    steps: stations.map((station) => (isTold(station) ? (steps.get(station.at) ?? null) : null)),
    meanStep: meanOf(
      all.map(({ step }) => step),
      fitted.places,
    ),
    unlevel: all.map(({ at, step }) => ({ at, chance: beyond(step, stepLimit) })),
    stepChance,
    tests: fitted.rails.tested?.tests ?? [],
    byHand: fitted.rails.tested !== null && fitted.sorted.every((station) => step(station) === null),
  };
}

/** Whether anything tells of a station's step. */
const isTold = ({ near, far, square, marker }: Station): boolean => Boolean(near ?? far ?? square ?? marker);

/** What level tests alone say of an edge; null where none was made. */
function testedBelief(
  stations: readonly Station[],
  tests: readonly LevelTest[],
  stepLimit: number,
  designs: Designs,
): EdgeBelief | null {
  if (tests.length === 0) return null;
  const places = testedPlaces(tests, placesAlong);
  const { paths, tests: found } = testedSteps([], tests, places, designs);
  const { unlevel, draws } = leaning(paths, places, stepLimit);
  const size = places.length;
  const steps = places.map((_, j): Estimate => {
    let [sum, square] = [0, 0];
    for (let i = j; i < paths.length; i += size) {
      sum += paths[i]! / draws;
      square += paths[i]! ** 2 / draws;
    }
    return { value: mm(sum), u: Math.sqrt(Math.max(0, square - sum * sum)) };
  });
  return {
    places: [],
    stations: stations.map(() => null),
    steps: stations.map((station) => (isTold(station) ? (steps[places.indexOf(station.at)] ?? null) : null)),
    meanStep: meanOf(steps, places),
    unlevel: places.map((at, j) => ({ at, chance: beyond(steps[j]!, stepLimit) })),
    stepChance: unlevel / draws,
    tests: found,
    byHand: true,
  };
}

/** What draws say of both edges. */
interface Drawn {
  readonly least: Least;
  /** In how many draws each edge is out of level. */
  readonly unlevel: Readonly<Record<Edge, number>>;
}

const NOTHING_DRAWN: Drawn = { least: { draws: new Float64Array(0), common: 0 }, unlevel: { A: 0, B: 0 } };

/** Draws both edges by so many rows; what was drawn of them before stands, and is gone on from. */
function drawBoth(
  fits: Readonly<Record<Edge, EdgeFit | null>>,
  step: number,
  common: number,
  rows: number,
  before = NOTHING_DRAWN,
): Drawn {
  const points = normalPoints(columns(fits.A) + columns(fits.B));
  const draws = new Float64Array(DRAWS_PER_ROW * rows).fill(Infinity);
  draws.set(before.least.draws);
  const from = before.least.draws.length / DRAWS_PER_ROW;
  const unlevel = (edge: Edge, offset: number): number => {
    const fitted = fits[edge];
    return fitted ? before.unlevel[edge] + drawEdge(fitted, step, draws, points, offset, from) : 0;
  };
  return { unlevel: { A: unlevel('A', 0), B: unlevel('B', columns(fits.A)) }, least: { draws, common } };
}

/** Columns of the points that an edge draws by. */
const columns = (fitted: EdgeFit | null): number => 2 * (fitted?.places.length ?? 0);

/**
 * A dip that no reading shows may lie so far, mm, under the least depth that is believed: further than the deepest by
 * what its own doubt adds.
 */
const HIDDEN_UNDER = DEEPEST_DIP + 0.1;

/** Whether a dip between the stations could carry the least depth under one of the levels it is held against. */
function mayHide(least: Least, levels: readonly number[]): boolean {
  const { value, u } = leastValue(least);
  return levels.some((level) => value + 3 * u >= level && value - 3 * u - HIDDEN_UNDER < level);
}

/** The least depth with the dips that may hide between stations. */
function withHidden(least: Least, fits: Readonly<Record<Edge, EdgeFit | null>>, railLine: Asked['railLine']): Least {
  const points = normalPoints(columns(fits.A) + columns(fits.B));
  const draws = least.draws.slice();
  for (const [edge, offset] of [
    ['A', 0],
    ['B', columns(fits.A)],
  ] as const) {
    const fitted = fits[edge];
    if (!fitted) continue;
    const ats = fitted.sorted.map(({ at }) => at);
    layDips(hiddenDips(ats, dipsPerMm(railLine)), fitted, draws, points, offset);
  }
  return { ...least, draws, seen: least.draws };
}

/** Both edges draw by draw. */
function alongBoth(fits: Readonly<Record<Edge, EdgeFit | null>>, rows: number): ReturnType<BarBelief['along']> {
  const points = normalPoints(columns(fits.A) + columns(fits.B));
  return {
    A: fits.A ? drawPlaces(fits.A, points, 0, rows) : [],
    B: fits.B ? drawPlaces(fits.B, points, columns(fits.A), rows) : [],
  };
}

/** The chance that an edge is out of level, by its draws. */
const chanceOf = ({ unlevel, least }: Drawn, edge: Edge): number => unlevel[edge] / least.draws.length;

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

/**
 * What a belief is asked: the levels that the least depth is held against, and the step that counts as out of level,
 * mm.
 */
export interface Asked {
  readonly depths: readonly number[];
  readonly step: number;
  /** What a rule laid along the rails showed. */
  readonly railLine?: RailLine | undefined;
}

/**
 * What is believed of a bar from all its readings together: each edge's rails are a smooth mean and a smooth
 * difference, read with one tool whose own error is common to all; narrow dips are weighed for each reading by itself.
 * One question is then asked of all of it: how deep is the least place anywhere? It is answered by few draws where they
 * lie far from every limit, and by many where one is near. It pauses between its stages.
 */
export function* believingBar(
  stations: Readonly<Record<Edge, readonly Station[]>>,
  stands: EdgeStands,
  asked: Asked,
  designs: Designs = designsOfSheet(),
): Stages<BarBelief> {
  const readings = flatMap([...stations.A, ...stations.B], ({ near, far }) =>
    flatMap([near, far], (each) => each ?? []),
  );
  const tests = { A: levelTestsOf(stations.A, stands.A), B: levelTestsOf(stations.B, stands.B) };
  const alone = (edge: Edge) => testedBelief(stations[edge], tests[edge], asked.step, designs);
  if (readings.length === 0)
    return {
      edges: { A: alone('A'), B: alone('B') },
      least: null,
      leastAt: null,
      tool: null,
      along: () => ({ A: [], B: [] }),
    };
  const tool = commonToolOf(readings);
  const common = commonOf(readings, tool);
  const fitA = fitEdge(stations.A, tests.A, tool, designs);
  yield;
  const fits = { A: fitA, B: fitEdge(stations.B, tests.B, tool, designs) };
  yield;
  const few = drawBoth(fits, asked.step, common, CLEAR_ROWS);
  const isTested = EDGES.some((edge) => fits[edge]?.rails.tested);
  const mayBeHidden = mayHide(few.least, asked.depths);
  const isSettled =
    !isTested &&
    !mayBeHidden &&
    EDGES.every((edge) => isClearChance(chanceOf(few, edge))) &&
    isClear(few.least, asked.depths);
  yield;
  const drawn = isSettled ? few : drawBoth(fits, asked.step, common, CLOSE_ROWS, few);
  yield;
  const believed = (edge: Edge): EdgeBelief | null => {
    const fitted = fits[edge];
    return fitted ? edgeBelief(fitted, stations[edge], common, chanceOf(drawn, edge), asked.step) : alone(edge);
  };
  const edges = { A: believed('A'), B: believed('B') };
  const along = () => alongBoth(fits, drawn.least.draws.length / DRAWS_PER_ROW);
  const least = mayBeHidden ? withHidden(drawn.least, fits, asked.railLine) : drawn.least;
  return { edges, least, leastAt: weakestPlace(fits, edges), tool, along };
}

/** The same in one go. */
export const barBelief = (...given: Parameters<typeof believingBar>): BarBelief => atOnce(believingBar(...given));
