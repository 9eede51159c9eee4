import { flatMap } from '../flat-map';
import {
  answered,
  believedBy,
  designsOfSheet,
  type AskedValue,
  type Designs,
  type NormalWay,
  type Sighting,
} from '../belief';
import { chanceBy, guideOf, type LevelTest } from './level-tests';
import { LEVEL_OR_NOT } from './profile-prior';

/** A level test with how likely its answer was by all else that is known. */
export interface TestFound extends LevelTest {
  readonly expected: number;
}

/** Draws of a tested edge. */
export const TESTED_DRAWS = 256;

/** Components lighter than this are dropped where a test may still raise them. */
const NEGLIGIBLE = 0.002;

/** The length of edge that each place stands for, mm; a lone station stands for whatever is asked. */
export function stretches(places: readonly number[], lone: number): Float64Array {
  const last = places.length - 1;
  const lengths = new Float64Array(places.length);
  for (let j = 0; j <= last; j += 1) lengths[j] = (places[Math.min(last, j + 1)]! - places[Math.max(0, j - 1)]!) / 2;
  if (last === 0) lengths[0] = lone;
  return lengths;
}

/** What is believed of the step before any test, from steps that were measured. */
function stepWays(designs: Designs, sightings: readonly Sighting[], places: readonly number[]): readonly NormalWay[] {
  const design = designs(
    Float64Array.from(sightings, ({ variance }) => variance),
    sightings.map(({ at }) => at),
    places,
    LEVEL_OR_NOT,
  );
  return believedBy(
    design,
    sightings.map(({ value }) => value),
    NEGLIGIBLE,
  ).components;
}

/** The sum over the places that a test asks about: its own place, or the mean of the whole edge. */
function placesOf(at: number | null, places: readonly number[], size: number, offset: number): Float64Array {
  const of = new Float64Array(size);
  if (at !== null) {
    of[offset + places.indexOf(at)] = 1;
    return of;
  }
  const lengths = stretches(places, 1);
  const whole = lengths.reduce((sum, each) => sum + each, 0);
  lengths.forEach((length, j) => (of[offset + j] = length / whole));
  return of;
}

/** Readings of one value as one, each by its precision. */
function guideOfAll(tests: readonly LevelTest[]): AskedValue['guide'] {
  const guides = tests.map(guideOf);
  const precision = guides.reduce((sum, { variance }) => sum + 1 / variance, 0);
  return {
    value: guides.reduce((sum, { value, variance }) => sum + value / variance, 0) / precision,
    variance: 1 / precision,
  };
}

/** Tests of one place together. */
function byPlace(tests: readonly LevelTest[]): readonly (readonly LevelTest[])[] {
  const groups = new Map<number | null, LevelTest[]>();
  for (const test of tests) groups.set(test.at, [...(groups.get(test.at) ?? []), test]);
  return [...groups]
    .sort(([a], [b]) => (a ?? Infinity) - (b ?? Infinity))
    .map(([, group]) => [...group].sort((a, b) => (a.kind + a.says < b.kind + b.says ? -1 : 1)));
}

const OTHER = { level: 'level', near: 'far', far: 'near' } as const;

/**
 * Whether the tests, or where they are even the readings, name the far rail more: then the edge is looked at in a
 * mirror, so that a bar and its mirror image are judged alike.
 */
function isMirrored(tests: readonly LevelTest[], ways: readonly NormalWay[], offset: number): boolean {
  const named = tests.reduce((sum, { says }) => sum + (says === 'near' ? 1 : says === 'far' ? -1 : 0), 0);
  if (named !== 0) return named < 0;
  let lean = 0;
  for (const { weight, mean } of ways) for (let j = offset; j < mean.length; j += 1) lean += weight * mean[j]!;
  return lean < 0;
}

/** A way with the steps of its places turned round. */
function turned({ weight, mean, factor }: NormalWay, offset: number): NormalWay {
  const size = mean.length;
  return {
    weight,
    mean: mean.map((value, j) => (j >= offset ? -value : value)),
    // The factor of the turned covariance: what goes between depth and step changes its sign.
    factor: factor.map((value, i) => (Math.floor(i / size) >= offset && i % size < offset ? -value : value)),
  };
}

/** What level tests leave of an edge. */
export interface TestedEdge {
  /** Draws of everything that the ways speak of, one after the other. */
  readonly paths: Float64Array;
  readonly tests: readonly TestFound[];
}

/**
 * Reweighs what is believed of an edge by its level tests.
 * @param ways the belief before: steps at the places from `offset` on
 * @param offset how many values stand before the steps
 */
export function testedEdge(
  ways: readonly NormalWay[],
  tests: readonly LevelTest[],
  places: readonly number[],
  offset: number,
): TestedEdge {
  const mirror = isMirrored(tests, ways, offset);
  const size = ways[0]!.mean.length;
  const groups = byPlace(mirror ? tests.map((test) => ({ ...test, says: OTHER[test.says] })) : tests);
  const asked = groups.map((group): AskedValue => ({
    of: placesOf(group[0]!.at, places, size, offset),
    answers: group.map(chanceBy),
    guide: guideOfAll(group),
  }));
  const { paths, expected } = answered(mirror ? ways.map((way) => turned(way, offset)) : ways, asked, TESTED_DRAWS);
  if (mirror) for (let i = 0; i < paths.length; i += 1) if (i % size >= offset) paths[i] = -paths[i]!;
  const found = flatMap(groups, (group, g) =>
    group.map((test, n) => ({ ...test, says: mirror ? OTHER[test.says] : test.says, expected: expected[g]![n]! })),
  );
  return { paths, tests: found };
}

/**
 * Where an edge of which no depth was measured is looked at when the whole of it was tested, mm from the tail (common
 * practice, no source).
 */
const USUAL_PLACES = [60, 150, 240, 330] as const;
/** Tests this near together say little of the whole edge, mm. */
const A_WHOLE_EDGE = 200;

/** Places of an edge that was only tested. */
export function testedPlaces(
  tests: readonly LevelTest[],
  along: (ats: readonly number[]) => readonly number[],
): readonly number[] {
  const ats = flatMap(tests, ({ at }) => at ?? []);
  const isWhole = tests.some(({ at }) => at === null);
  const span = ats.length === 0 ? 0 : Math.max(...ats) - Math.min(...ats);
  return along(isWhole && span < A_WHOLE_EDGE ? [...ats, ...USUAL_PLACES] : ats);
}

/**
 * Edges that were worked out last: most keys change something else, and an edge takes as long as all the rest of a bar.
 */
const LATEST = new Map<string, TestedEdge>();
const KEPT = 8;

/**
 * What level tests leave of the step of an edge.
 * @param sightings steps as they were measured; none where the edge was only tested
 */
export function testedSteps(
  sightings: readonly Sighting[],
  tests: readonly LevelTest[],
  places: readonly number[],
  designs: Designs = designsOfSheet(),
): TestedEdge {
  const key = JSON.stringify([sightings, tests, places]);
  const known = LATEST.get(key);
  if (known) return known;
  const found = testedEdge(stepWays(designs, sightings, places), tests, places, 0);
  LATEST.set(key, found);
  if (LATEST.size > KEPT) LATEST.delete(LATEST.keys().next().value!);
  return found;
}
