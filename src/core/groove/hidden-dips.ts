import { flatMap } from '../flat-map';
import { DRAWS_PER_ROW, SPREADS } from '../belief';
import type { BarSheet } from '../sheet';
import { railAt, type EdgeFit } from './edge-fit';
import type { RailsAt } from './rails-belief';

/** What a rule laid along the rails showed: no light under it, or light at a place. */
export type RailLine = NonNullable<NonNullable<BarSheet['checks']>['railLine']>;

/**
 * Narrow dips expected on a millimetre of an edge that nobody laid a rule along (shop's figure, tried on simulated
 * bars), and by how much a rule that shows no light, or some, makes them rarer or commoner.
 */
const USUAL = 0.2 / 350;
const AFTER_THE_RULE: Readonly<Record<RailLine, number>> = { even: 0.1, low: 3 };

export const dipsPerMm = (seen: RailLine | undefined): number => USUAL * (seen ? AFTER_THE_RULE[seen] : 1);

/** How deep such a dip is, mm: alike anywhere between these (shop's figures). */
const SHALLOWEST = 0.1;
export const DEEPEST_DIP = 0.45;
/** A dip nearer to a station than this shows in its reading, mm: dips are 12 to 30 mm wide. */
const SHOWS_WITHIN = 9;

/** A stretch of an edge where a dip would show at no station, mm. */
interface Stretch {
  readonly from: number;
  readonly length: number;
}

/** The narrow dips that an edge may have between its stations. */
export interface HiddenDips {
  readonly stretches: readonly Stretch[];
  /** Chance that there is one. */
  readonly chance: number;
}

/**
 * The narrow dips that an edge may have where no station would show them.
 * @param ats stations with a depth, mm, in order
 * @param perMm dips expected on a millimetre
 */
export function hiddenDips(ats: readonly number[], perMm: number): HiddenDips {
  const stretches = flatMap(ats.slice(1), (at, i): readonly Stretch[] => {
    const from = ats[i]! + SHOWS_WITHIN;
    const length = at - SHOWS_WITHIN - from;
    return length > 0 ? [{ from, length }] : [];
  });
  return { stretches, chance: 1 - Math.exp(-perMm * lengthOf(stretches)) };
}

const lengthOf = (stretches: readonly Stretch[]): number => stretches.reduce((sum, { length }) => sum + length, 0);

/** The place that lies so far along all stretches, 0…1. */
function placeAt(stretches: readonly Stretch[], share: number): number {
  let left = share * lengthOf(stretches);
  for (const { from, length } of stretches) {
    if (left <= length) return from + left;
    left -= length;
  }
  const last = stretches.at(-1)!;
  return last.from + last.length;
}

/** What is believed of the rails between two places, by how far it is to each. */
function believedBetween({ places, rails }: EdgeFit, at: number): RailsAt {
  const after = Math.max(
    1,
    places.findIndex((place) => place >= at),
  );
  const [a, b] = [rails.at[after - 1]!, rails.at[after]!];
  const share = (at - places[after - 1]!) / (places[after]! - places[after - 1]!);
  const mix = (x: number, y: number): number => (1 - share) * x + share * y;
  return {
    depth: { mean: mix(a.depth.mean, b.depth.mean), u: mix(a.depth.u, b.depth.u) },
    step: { mean: mix(a.step.mean, b.step.mean), u: mix(a.step.u, b.step.u) },
    covariance: mix(a.covariance, b.covariance),
  };
}

/**
 * Rails that a dip is on, the lower one first, so that the mirror image of an edge is judged alike: that one, both, or
 * the higher one alone.
 */
const HIGHER_ALONE = 2 / 3;

/**
 * Lays dips between the stations of an edge over least depths that were drawn without them.
 * @param offset column of the points to begin with, so that two edges are drawn apart
 */
export function layDips(
  { stretches, chance }: HiddenDips,
  fitted: EdgeFit,
  least: Float64Array,
  points: readonly Float64Array[],
  offset: number,
): void {
  const shift = offset === 0 ? 0 : 0.5;
  // Draws of a row that mirror each other share a dip.
  for (let pair = 0; pair < least.length / 2; pair += 1) {
    const along = (by: number): number => ((pair + 0.5) * by + shift) % 1;
    const share = along(SPREADS[0]);
    if (share >= chance) continue;
    const believed = believedBetween(fitted, placeAt(stretches, share / chance));
    const lower = believed.step.mean < 0 ? 1 : -1;
    const { mean, variance } = railAt(believed, along(SPREADS[2]) < HIGHER_ALONE ? lower : (-lower as 1 | -1));
    const deep = SHALLOWEST + along(SPREADS[1]) * (DEEPEST_DIP - SHALLOWEST);
    const normal = Math.sqrt(Math.max(0, variance)) * points[(7 * pair + 3) % points.length]![offset]!;
    for (const sign of [1, -1]) {
      const draw = DRAWS_PER_ROW * (pair >> 1) + (pair % 2) + (sign === 1 ? 0 : 2);
      least[draw] = Math.min(least[draw]!, mean + sign * normal - deep);
    }
  }
}
