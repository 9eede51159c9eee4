import { flatMap } from '../flat-map';
import { believedAlong, dipChance, pairBelief, type Designs, type PairMake, type ProfileBelief } from '../belief';
import type { Estimate, InstrumentId } from '../quantity';
import { depthSighting, isReadAlike, ownVariance, pairSightings, stepSightings } from './edge-sightings';
import { testedEdge, testedSteps } from './edge-level';
import type { LevelTest } from './level-tests';
import { depthPrior, LEVEL_OR_NOT, placesAlong } from './profile-prior';
import { apart, testedApart, testedTogether, together, type RailsAt, type RailsBelief } from './rails-belief';
import type { Station } from './station';
import type { Rail } from '../declared';

/** The two processes that an edge is believed to be: the mean of its rails, and near less far. */
export interface EdgeFit {
  readonly sorted: readonly Station[];
  readonly places: readonly number[];
  /** The first and the last place between which depth was measured: beyond them nothing is said of it. */
  readonly within: readonly [number, number];
  readonly rails: RailsBelief;
  readonly dips: readonly Dip[];
  /** Marks that hold a rail at a place, by the place's number. */
  readonly held: ReadonlyMap<number, Held>;
}

export type Held = Readonly<Record<Rail, Estimate['between']>>;

/** A reading that may stand in a dip of its own. */
export interface Dip {
  readonly rail: Rail;
  readonly chance: number;
  readonly value: number;
  readonly own: number;
  /** Both rails of a station draw alike, so that the mirror image of a bar is judged alike. */
  readonly key: number;
}

/** Dips less likely than this are not drawn. */
const LEAST_DIP = 0.01;

/** Mean and variance of a rail at a place: half the step above or below the mean of both. */
export function railAt({ depth, step: lean, covariance }: RailsAt, sign: 1 | -1): { mean: number; variance: number } {
  return {
    mean: depth.mean + (sign * lean.mean) / 2,
    variance: depth.u ** 2 + lean.u ** 2 / 4 + sign * covariance,
  };
}

/** Dips of single readings, or of both rails of a station where they were read alike. */
function dipsOf(sorted: readonly Station[], rails: RailsBelief, common: InstrumentId | null): readonly Dip[] {
  return flatMap(sorted, (station, key): readonly Dip[] => {
    const { at, near, far } = station;
    const believed = rails.at[rails.places.indexOf(at)]!;
    const both = near && far && isReadAlike(station, common) ? depthSighting(station, common) : null;
    const bothDip = both ? dipChance(both, believed.depth.mean, believed.depth.u ** 2) : 0;
    const dipOf = (rail: Rail, reading: Estimate | null, sign: 1 | -1): readonly Dip[] => {
      if (!reading) return [];
      const own = ownVariance(reading, common);
      const { mean, variance } = railAt(believed, sign);
      const chance = dipChance({ at, value: reading.value, variance: own }, mean, variance);
      return [{ rail, chance: Math.max(chance, bothDip), value: reading.value, own: Math.sqrt(own), key }];
    };
    return [...dipOf('near', near, 1), ...dipOf('far', far, -1)].filter(({ chance }) => chance >= LEAST_DIP);
  });
}

/** Pairs of makes that are tried together where rails were not read alike: the likeliest of each by itself. */
const MOST_PAIRS = 6;

function likelyPairs(depth: ProfileBelief, steps: ProfileBelief): readonly PairMake[] {
  return flatMap(depth.components, (first) =>
    steps.components.map((second) => ({
      likely: first.weight * second.weight,
      make: { first: first.made, second: second.made, weight: first.made.weight * second.made.weight },
    })),
  )
    .sort((a, b) => b.likely - a.likely)
    .slice(0, MOST_PAIRS)
    .map(({ make }) => make);
}

/** The places at which an edge is believed in: stations with a depth, what was tested beside them, and between. */
function placesFor(depths: readonly { readonly at: number }[], tests: readonly LevelTest[]): readonly number[] {
  return placesAlong([...depths.map(({ at }) => at), ...flatMap(tests, ({ at }) => at ?? [])]);
}

function railsOf(
  sorted: readonly Station[],
  tests: readonly LevelTest[],
  common: InstrumentId | null,
  designs: Designs,
): RailsBelief {
  const depths = flatMap(sorted, (station) => depthSighting(station, common) ?? []);
  const steps = stepSightings(sorted);
  const places = placesFor(depths, tests);
  const prior = depthPrior(depths.map(({ variance }) => variance));
  const depth = believedAlong(designs, depths, places, prior);
  const isApart = sorted.every((station) => isReadAlike(station, common));
  if (isApart && tests.length > 0) return testedApart(depth, testedSteps(steps, tests, places, designs));
  const lean = believedAlong(designs, steps, places, LEVEL_OR_NOT);
  if (isApart) return apart(depth, lean);
  const centre = depths.reduce((sum, { value }) => sum + value, 0) / depths.length;
  const pairs = pairBelief(pairSightings(sorted, common), places, likelyPairs(depth, lean), centre);
  return tests.length === 0
    ? together(pairs, places)
    : testedTogether(testedEdge(pairs, tests, places, places.length), places);
}

/**
 * What all readings of an edge leave of it; null where no depth was measured.
 * @param tests its level tests
 */
export function fitEdge(
  stations: readonly Station[],
  tests: readonly LevelTest[],
  common: InstrumentId | null,
  designs: Designs,
): EdgeFit | null {
  const sorted = stations
    .filter(({ near, far }) => near ?? far)
    .sort(
      (a, b) => a.at - b.at || (a.near?.value ?? 0) + (a.far?.value ?? 0) - (b.near?.value ?? 0) - (b.far?.value ?? 0),
    );
  if (sorted.length === 0) return null;
  const rails = railsOf(sorted, tests, common, designs);
  const held = new Map(
    flatMap(sorted, ({ at, near, far }): readonly (readonly [number, Held])[] =>
      (near?.between ?? far?.between) ? [[rails.places.indexOf(at), { near: near?.between, far: far?.between }]] : [],
    ),
  );
  const within = [rails.places.indexOf(sorted[0]!.at), rails.places.indexOf(sorted.at(-1)!.at)] as const;
  return { sorted, places: rails.places, within, rails, dips: dipsOf(sorted, rails, common), held };
}
