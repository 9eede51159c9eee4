import { mm, type Mm } from '../quantity';
import { widthAt, type GrooveShape } from './rock';

/** One station of an edge as the dressing plan sees it. A rail that was not measured is null. */
export interface DressStation {
  readonly at: number;
  readonly near: number | null;
  readonly far: number | null;
  /** Shape of the groove, for the width after dressing. */
  readonly groove?: GrooveShape | null;
  /** True where the file must not go, at the nose. */
  readonly keptOut?: boolean;
}

/** How level and how smooth a dressed rail is to be. */
export interface DressRules {
  /** τ: how far a rail may stand over the low one, mm. */
  readonly tolerance: number;
  /** λ: how fast the profile may climb, mm per mm. */
  readonly slope: number;
}

/** What stops a plan: the station and the limit the dressed rail would fall below. */
export interface DressStop {
  readonly station: number;
  readonly limit: 'bar.depth' | 'bar.floor-clearance';
}

/** A dressing plan for one edge; arrays run with the stations, null where a station is left out. */
export interface DressPlan {
  readonly target: readonly (Mm | null)[];
  readonly removeNear: readonly (Mm | null)[];
  readonly removeFar: readonly (Mm | null)[];
  readonly mouthAfter: readonly (Mm | null)[];
  /** Largest removal off any rail, mm. */
  readonly most: number;
  readonly weakest: { readonly station: number; readonly depth: Mm } | null;
}

/**
 * The highest profile that nowhere stands more than τ over the low rail and nowhere climbs faster than λ:
 * `t_i = min_j (m_j + τ + λ·|s_i − s_j|)`, m_j the lower rail at station j. Being the largest such profile it takes the least metal off.
 *
 * Convention for missing readings: a station without both rails, or where the file must not go, is left out of the plan and constrains
 * nothing. No station gives an empty profile.
 *
 * @see McShane (1934) and Whitney (1934), extension of Lipschitz functions
 * @returns target heights, null for stations left out
 */
export function dressProfile(
  stations: readonly DressStation[],
  { tolerance, slope }: DressRules,
): readonly (Mm | null)[] {
  const anchors = stations.flatMap((station) =>
    inPlan(station) ? [{ at: station.at, low: Math.min(station.near, station.far) + tolerance }] : [],
  );
  return stations.map((station) =>
    inPlan(station) ? mm(Math.min(...anchors.map(({ at, low }) => low + slope * Math.abs(station.at - at)))) : null,
  );
}

function inPlan(station: DressStation): station is DressStation & { near: number; far: number } {
  return station.near !== null && station.far !== null && !station.keptOut;
}

/** Width of the mouth once r has come off the rails: `w₀ − (w₀ − w₁)·r/z₁` for r up to z₁. A parallel groove keeps its width. */
export function mouthAfter(groove: GrooveShape, removal: number): Mm {
  return widthAt(groove, groove.deepAt === null ? removal : Math.min(removal, groove.deepAt));
}

/** The plan for one edge. Dressing never raises a rail: what stands below its target stays. */
export function dressPlan(stations: readonly DressStation[], rules: DressRules): DressPlan {
  const target = dressProfile(stations, rules);
  const removal = (rail: 'near' | 'far') =>
    stations.map((station, i) => {
      const height = target[i] ?? null;
      const stands = station[rail];
      return height === null || stands === null ? null : mm(Math.max(0, stands - height));
    });
  const removeNear = removal('near');
  const removeFar = removal('far');
  const widths = stations.map(({ groove }, i) =>
    groove && target[i] !== null ? mouthAfter(groove, Math.max(removeNear[i] ?? 0, removeFar[i] ?? 0)) : null,
  );
  const depths = stations.flatMap((station, i) => {
    const height = target[i] ?? null;
    return height === null ? [] : [{ station: i, depth: mm(Math.min(height, station.near!, station.far!)) }];
  });
  return {
    target,
    removeNear,
    removeFar,
    mouthAfter: widths,
    most: Math.max(0, ...removeNear.map((r) => r ?? 0), ...removeFar.map((r) => r ?? 0)),
    weakest: depths.reduce<DressPlan['weakest']>(
      (least, next) => (least && least.depth <= next.depth ? least : next),
      null,
    ),
  };
}

/** The first station, weakest first, that the plan would take below the groove's least depth or onto the link. */
export function dressStop(plan: DressPlan, depthLimit: number | null, tang: number | null): DressStop | null {
  const weakest = plan.weakest;
  if (!weakest) return null;
  if (depthLimit !== null && weakest.depth < depthLimit) return { station: weakest.station, limit: 'bar.depth' };
  if (tang !== null && weakest.depth <= tang) return { station: weakest.station, limit: 'bar.floor-clearance' };
  return null;
}

/** Whole dressings an edge has left: `(weakest depth after − limit)/loss per dressing`, never below 0. */
export function dressingsLeft(weakestAfter: number, depthLimit: number, lossPerDressing: number): number {
  return Math.max(0, Math.floor((weakestAfter - depthLimit) / lossPerDressing + 1e-9));
}
