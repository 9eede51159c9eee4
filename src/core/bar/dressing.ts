import { flatMap } from '../flat-map';
import { mm, type Mm } from '../quantity';
import { widthAt, type GrooveShape } from '../groove';

/** One station of an edge as the dressing plan sees it. A rail that was not measured is null. */
export interface DressStation {
  readonly at: number;
  readonly near: number | null;
  readonly far: number | null;
  /** Shape of the groove, for the width after dressing. */
  readonly groove?: GrooveShape | null;
  /** True where the file must not go, at the nose. */
  readonly keptOut?: boolean;
  /** Depth at the bottom of a chip too long to be left, or of a rut, mm: the rails are levelled to it. */
  readonly chipped?: number | null;
  /** True for a dip that is left as it is: the profile passes over it. */
  readonly leaveLow?: boolean;
}

/** How level and how smooth a dressed rail is to be, and what the file takes beside the plan. */
export interface DressRules {
  /** τ: how far a rail may stand over the low one, mm. */
  readonly tolerance: number;
  /** λ: how fast the profile may climb, mm per mm. */
  readonly slope: number;
  /** What the pass that makes both rails shine takes off the low one too, mm. */
  readonly touch: number;
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
  /** The least depth that will be measured after the work: the low rail was touched too. */
  readonly weakest: { readonly station: number; readonly depth: Mm } | null;
}

/**
 * The highest profile that nowhere stands more than τ over the low rail and nowhere climbs faster than λ:
 * `t_i = min_j (m_j + τ + λ·|s_i − s_j|)`, m_j the lower rail at station j. Being the largest such profile it takes the
 * least metal off.
 *
 * Convention for missing readings: a station without both rails, or where the file must not go, is left out of the plan
 * and constrains nothing. No station gives an empty profile.
 *
 * @see McShane (1934) and Whitney (1934), extension of Lipschitz functions
 * @returns target heights, null for stations left out
 */
export function dressProfile(
  stations: readonly DressStation[],
  { tolerance, slope }: Omit<DressRules, 'touch'>,
): readonly (Mm | null)[] {
  const planned = stations.filter(inPlan);
  const holding = planned.filter(({ leaveLow }) => !leaveLow);
  // Where every station is left low, nothing would hold the profile: then they all do.
  const anchors = (holding.length > 0 ? holding : planned).map((station) => ({
    at: station.at,
    low: lowAt(station) + tolerance,
  }));
  return stations.map((station) => {
    if (!inPlan(station)) return null;
    let least = Infinity;
    for (const { at, low } of anchors) least = Math.min(least, low + slope * Math.abs(station.at - at));
    return mm(least);
  });
}

/** The height that rails are levelled to at a station: the lower rail, or the bottom of a long chip. */
function lowAt({ near, far, chipped }: DressStation & { near: number; far: number }): number {
  return Math.min(near, far, chipped ?? Infinity);
}

function inPlan(station: DressStation): station is DressStation & { near: number; far: number } {
  return station.near !== null && station.far !== null && !station.keptOut;
}

/**
 * A groove whose rails came down by r: its mouth is narrower, its floor reading nearer. A flare that is filed away
 * leaves a parallel groove.
 */
export function grooveAfter(groove: GrooveShape, removal: number): GrooveShape {
  const { deep, deepAt } = groove;
  if (deep === null || deepAt === null) return groove;
  if (removal >= deepAt) return { mouth: deep, deep: null, deepAt: null };
  return { mouth: mouthAfter(groove, removal), deep, deepAt: mm(deepAt - removal) };
}

/**
 * Width of the mouth once r has come off the rails: `w₀ − (w₀ − w₁)·r/z₁` for r up to z₁. A parallel groove keeps its
 * width.
 */
export function mouthAfter(groove: GrooveShape, removal: number): Mm {
  return widthAt(groove, removal);
}

/**
 * The plan for one edge. Dressing never raises a rail: what stands below its target is only touched.
 * @param deeper taken off everywhere beside what levelling needs, mm: narrows the mouth of a flared groove
 */
export function dressPlan(stations: readonly DressStation[], rules: DressRules, deeper = 0): DressPlan {
  const target = dressProfile(stations, rules).map((height) => (height === null ? null : mm(height - deeper)));
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
  const depths = flatMap(stations, (station, i) => {
    const height = target[i] ?? null;
    return height === null
      ? []
      : [{ station: i, depth: mm(Math.min(height, station.near!, station.far!) - rules.touch) }];
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

/** A dip that could be left, and what levelling to it costs the rest of the edge, mm off the worst place. */
export interface DressException {
  readonly station: number;
  readonly saves: number;
}

/** Total metal a plan takes off at stations other than the one left out. */
function takenElsewhere({ removeNear, removeFar }: DressPlan, but: number): number {
  return [...removeNear, ...removeFar].reduce<number>(
    (sum, removal, i) => (i % removeNear.length === but ? sum : sum + (removal ?? 0)),
    0,
  );
}

/**
 * Stations worth a second plan without them: those that hold some other station down by more than is worth naming. On
 * most bars there is none, and nothing more is computed at a keystroke.
 */
function costlyStations(
  stations: readonly DressStation[],
  { target }: DressPlan,
  { tolerance, slope }: DressRules,
  worthFrom: number,
): ReadonlySet<number> {
  const costly = new Set<number>();
  stations.forEach((station, j) => {
    const height = target[j] ?? null;
    if (height === null || !inPlan(station)) return;
    const own = lowAt(station) + tolerance;
    if (own - height <= worthFrom) return;
    stations.forEach((other, i) => {
      if (i === j || !inPlan(other) || other.leaveLow) return;
      const holds = lowAt(other) + tolerance + slope * Math.abs(station.at - other.at);
      if (holds <= height + 1e-9) costly.add(i);
    });
  });
  return costly;
}

/**
 * Dips that cost the rest of the edge more than the shop allows: for each station, what its neighbours would keep if it
 * were left as it is, as the largest saving in one place. Nothing is left by itself: it is offered, and named in the
 * record when taken.
 */
export function dressExceptions(
  stations: readonly DressStation[],
  rules: DressRules,
  worthFrom: number,
): readonly DressException[] {
  const whole = dressPlan(stations, rules);
  const costly = costlyStations(stations, whole, rules, worthFrom);
  return flatMap(stations, (_, i): DressException[] => {
    if (!costly.has(i)) return [];
    const without = dressPlan(
      stations.map((each, j) => (j === i ? { ...each, leaveLow: true } : each)),
      rules,
    );
    if (takenElsewhere(whole, i) <= takenElsewhere(without, i)) return [];
    const savings = flatMap(stations, (_, j) =>
      j === i
        ? []
        : [
            (whole.removeNear[j] ?? 0) - (without.removeNear[j] ?? 0),
            (whole.removeFar[j] ?? 0) - (without.removeFar[j] ?? 0),
          ],
    );
    const saves = Math.max(0, ...savings);
    return saves > worthFrom ? [{ station: i, saves }] : [];
  });
}

/**
 * Passes of the guided file that a rail needs at its worst place, and the minutes of an edge, by the shop's figures.
 */
export interface DressEffort {
  readonly passes: { readonly near: number; readonly far: number };
  readonly minutes: number;
}

/** Effort of a plan: each rail by its worst place, set up once. A plan that takes nothing takes no time. */
export function dressEffort(
  plan: DressPlan,
  figures: { readonly pass: number; readonly setup: number; readonly perPass: number },
): DressEffort {
  const passes = (removal: DressPlan['removeNear']) =>
    Math.max(0, Math.ceil(Math.max(0, ...removal.map((each) => each ?? 0)) / figures.pass - 1e-9));
  const [near, far] = [passes(plan.removeNear), passes(plan.removeFar)];
  const minutes = near + far === 0 ? 0 : figures.setup + (near + far) * figures.perPass;
  return { passes: { near, far }, minutes };
}
