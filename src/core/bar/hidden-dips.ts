import { flatMap } from '../flat-map';
import {
  DRAWS_PER_ROW,
  probeOf,
  smoothUnder,
  SPREADS,
  timesLikelier,
  type Designs,
  type Drops,
  type Probe,
  type ProfilePrior,
  type Sighting,
} from '../belief';
import type { InstrumentId } from '../quantity';
import { depthSighting, stepSightings } from './edge-sightings';
import { depthPrior, LEVEL_OR_NOT } from './profile-prior';
import type { Rail, Station } from './station';

/** What a rule laid along the rails showed: no light under it, or light at a place. */
export type RailLine = 'even' | 'low';

/** Narrow dips expected on a millimetre of an edge that nobody laid a rule along (shop's figure, tried on simulated bars), and by how much a rule that shows no light, or some, makes them rarer or commoner. */
const USUAL = 0.4 / 350;
const AFTER_THE_RULE: Readonly<Record<RailLine, number>> = { even: 0.1, low: 3 };

export const dipsPerMm = (seen: RailLine | undefined): number => USUAL * (seen ? AFTER_THE_RULE[seen] : 1);

/** How deep a dip may be, mm: alike anywhere from 0.10 to 0.45, tried in the middle of three parts. */
const DEEP = [0.16, 0.275, 0.39] as const;
const DEEP_APART = 0.115;
export const DEEPEST_DIP = 0.45;
/** Half a dip's width, mm: a narrow one and a wide one. */
const HALF_WIDTHS = [7.5, 13] as const;
/** Dips are looked for this often, mm. */
const EVERY = 6;
/** A reading that loses less than this share of a dip loses nothing. */
const NOTHING = 0.01;
/** Beside a rail that was not read the other is thought to lie so near, mm². */
const UNREAD_STEP = 0.01;

/** Share of its depth that a dip has at a distance from its middle, mm: it falls off as a normal curve does. */
function fallsTo(distance: number, halfWidth: number): number {
  const share = Math.exp(-1.5 * (distance / halfWidth) ** 2);
  return share < NOTHING ? 0 : share;
}

/** A dip as it may be: where, how deep, on which rails, and what the readings beside it lose to it. */
interface Site {
  readonly at: number;
  readonly deep: number;
  readonly on: Readonly<Record<Rail, boolean>>;
  readonly ofDepth: Drops;
  readonly ofStep: Drops;
}

/** The narrow dips that an edge may have beside what its readings show. */
export interface HiddenDips {
  readonly sites: readonly Site[];
  /** Expected dips up to each site, as the readings leave them. */
  readonly upTo: Float64Array;
  /** Chance that there is one. */
  readonly chance: number;
  readonly depth: Probe;
  /** Null where no station has both rails. */
  readonly step: Probe | null;
}

/** The two stations that a place lies between, each with how a dip there shows in its depth and in its step. */
interface Beside {
  readonly station: Station;
  readonly depth: number;
  /** Number of its step; null where one rail alone was read. */
  readonly step: number | null;
}

/** How much of a dip the mean of a station's readings loses. */
function shareOfMean({ near, far }: Station, on: Site['on']): number {
  if (near && far) return (Number(on.near) + Number(on.far)) / 2;
  return Number(near ? on.near : on.far);
}

function dropsOf(
  before: Beside,
  after: Beside,
  falls: readonly [number, number],
  deep: number,
  on: Site['on'],
): Pick<Site, 'ofDepth' | 'ofStep'> {
  const lost = (beside: Beside, fall: number) => deep * fall * shareOfMean(beside.station, on);
  const across = deep * (Number(on.near) - Number(on.far));
  const leaned = ({ step }: Beside, fall: number) => (step === null ? 0 : across * fall);
  return {
    ofDepth: {
      first: before.depth,
      second: after.depth,
      byFirst: lost(before, falls[0]),
      bySecond: lost(after, falls[1]),
    },
    ofStep: {
      first: before.step ?? 0,
      second: after.step ?? 0,
      byFirst: leaned(before, falls[0]),
      bySecond: leaned(after, falls[1]),
    },
  };
}

/** Rails that a dip may be on: the lower one, both, the higher one; so the mirror image of an edge is judged alike. */
function railsFrom({ near, far }: Station): readonly Site['on'][] {
  const nearIsLower = (near?.value ?? 0) < (far?.value ?? 0);
  return [
    { near: nearIsLower, far: !nearIsLower },
    { near: true, far: true },
    { near: !nearIsLower, far: nearIsLower },
  ];
}

/** All dips that may be at a place between two stations. */
function sitesAt(at: number, before: Beside, after: Beside): readonly Site[] {
  const isNearerBefore = at - before.station.at < after.station.at - at;
  const rails = railsFrom((isNearerBefore ? before : after).station);
  return flatMap(HALF_WIDTHS, (half) => {
    const falls = [
      before === after ? 0 : fallsTo(at - before.station.at, half),
      fallsTo(after.station.at - at, half),
    ] as const;
    return flatMap(DEEP, (deep) =>
      rails.map((on): Site => ({ at, deep, on, ...dropsOf(before, after, falls, deep, on) })),
    );
  });
}

/** Stations in order, each with the numbers of its depth and its step among the readings. */
function besides(sorted: readonly Station[]): readonly Beside[] {
  let steps = 0;
  return sorted.map((station, depth) => ({ station, depth, step: station.near && station.far ? steps++ : null }));
}

/**
 * The narrow dips that an edge may have between its stations and beside them: each place, depth and width weighed by how well the readings bear it.
 * @param sorted stations with a depth, along the edge
 * @param perMm dips expected on a millimetre before anything was read
 */
export function hiddenDips(
  sorted: readonly Station[],
  places: readonly number[],
  common: InstrumentId | null,
  perMm: number,
  designs: Designs,
): HiddenDips {
  const probe = (sightings: readonly Sighting[], prior: ProfilePrior): Probe =>
    probeOf(
      designs(
        Float64Array.from(sightings, ({ variance }) => variance),
        sightings.map(({ at }) => at),
        places,
        prior,
      ),
      sightings.map(({ value }) => value),
    );
  const depths = flatMap(sorted, (station) => depthSighting(station, common) ?? []);
  const steps = stepSightings(sorted);
  const depth = probe(depths, depthPrior(depths.map(({ variance }) => variance)));
  const step = steps.length > 0 ? probe(steps, LEVEL_OR_NOT) : null;
  const stations = besides(sorted);
  const [first, last] = [sorted[0]!.at, sorted.at(-1)!.at];
  const count = Math.max(1, Math.ceil((last - first) / EVERY));
  const length = (last - first) / count;
  const sites: Site[] = [];
  let next = 0;
  for (let i = 0; i < count; i += 1) {
    const at = first + (i + 0.5) * length;
    while (next < stations.length - 1 && stations[next]!.station.at < at) next += 1;
    sites.push(...sitesAt(at, stations[Math.max(0, next - 1)]!, stations[next]!));
  }
  const each = (perMm * (last - first)) / sites.length;
  let expected = 0;
  const upTo = Float64Array.from(sites, ({ ofDepth, ofStep }) => {
    expected += each * timesLikelier(depth, ofDepth) * (step ? timesLikelier(step, ofStep) : 1);
    return expected;
  });
  return { sites, upTo, chance: expected / (1 + expected), depth, step };
}

/** The dip of one draw, 0…1; null in most. */
function siteOf({ sites, upTo, chance }: HiddenDips, share: number): Site | null {
  if (share >= chance) return null;
  const wanted = (share / chance) * upTo.at(-1)!;
  let [lo, hi] = [0, sites.length - 1];
  while (lo < hi) {
    const middle = (lo + hi) >> 1;
    if (upTo[middle]! > wanted) hi = middle;
    else lo = middle + 1;
  }
  return sites[lo]!;
}

/** How far a dip's bottom lies under the rails, and in two draws, their step turned. */
function bottoms(
  { depth, step }: HiddenDips,
  { at, deep, on, ofDepth, ofStep }: Site,
  along: (by: number) => number,
  normal: readonly [number, number],
): readonly number[] {
  const mean = smoothUnder(depth, ofDepth, at, along(SPREADS[1]));
  const lean = step ? smoothUnder(step, ofStep, at, along(SPREADS[2])) : { mean: 0, variance: UNREAD_STEP };
  const floor = mean.mean + Math.sqrt(mean.variance) * normal[0] - deep - (along(Math.SQRT2) - 0.5) * DEEP_APART;
  const lower = Math.min(on.near ? lean.mean / 2 : Infinity, on.far ? -lean.mean / 2 : Infinity);
  return [1, -1].map((turn) => floor + lower + (turn * Math.sqrt(lean.variance) * normal[1]) / 2);
}

/**
 * Lays the dips of an edge over least depths that were drawn without them.
 * @param offset column of the points to begin with, so that two edges are drawn apart
 */
export function layDips(dips: HiddenDips, least: Float64Array, points: readonly Float64Array[], offset: number): void {
  const shift = offset === 0 ? 0 : 0.5;
  for (let pair = 0; pair < least.length / 2; pair += 1) {
    const along = (by: number): number => ((pair + 0.5) * by + shift) % 1;
    const site = siteOf(dips, along(SPREADS[0]));
    if (!site) continue;
    const row = points[(7 * pair + 3) % points.length]!;
    const sign = pair % 2 === 0 ? 1 : -1;
    bottoms(dips, site, along, [sign * row[offset]!, row[offset + 1]!]).forEach((bottom, turn) => {
      const draw = DRAWS_PER_ROW * (pair >> 1) + (pair % 2) + 2 * turn;
      least[draw] = Math.min(least[draw]!, bottom);
    });
  }
}
