import {
  afterRework,
  chippedDepth,
  dressEffort,
  dressExceptions,
  dressPlan,
  dressStop,
  dressingsLeft,
  engagedAt,
  grooveOf,
  rockingWidth,
  stationFigures,
  type DressEffort,
  type DressException,
  type DressPlan,
  type DressStation,
  type DressStop,
  type Setting,
  type Station,
  type StationFigures,
} from '../bar';
import type { Limits } from '../families';
import { mm, type Estimate, type Mm } from '../quantity';
import { ROUNDING } from './check';

/** The dressing of one edge with what it means. */
export interface EdgeDressing {
  readonly plan: DressPlan;
  readonly feasible: boolean;
  readonly advised: boolean;
  readonly stoppedBy: DressStop | null;
  readonly dressingsLeft: number | null;
  /** More comes off in one place than a file alone should take. */
  readonly coarseFirst: boolean;
  /** Taken off everywhere beside levelling, to bring a flared mouth back within its play, mm; 0 where levelling is enough. */
  readonly deeper: number;
  /** Dips that could be left, with what that would save the rest of the edge. */
  readonly exceptions: readonly DressException[];
  readonly effort: DressEffort;
}

export interface EdgeAssessment {
  readonly stations: readonly Station[];
  readonly figures: readonly StationFigures[];
  /** Null when no station has both rails. */
  readonly dressing: EdgeDressing | null;
}

/** What an edge is judged with beside its stations. */
export interface EdgeContext {
  readonly setting: Setting;
  readonly limits: Limits;
  readonly depthLimit: number | null;
  readonly playLimit: number;
  readonly overall: Mm | null;
}

/** Play left at a station by a plan. The flare's slope is unchanged, so the rocking width falls by as much as the mouth does. */
export function playAfter(station: Station, i: number, plan: DressPlan, setting: Setting): Estimate | null {
  const groove = grooveOf(station);
  if (!groove || !setting.linkThickness || !station.mouth) return null;
  const engaged = engagedAt(station, setting.tang);
  const off = groove.mouth - (plan.mouthAfter[i] ?? groove.mouth);
  const width = (engaged ? rockingWidth(groove, engaged) : groove.mouth) - off;
  const u = Math.hypot(station.mouth.u, setting.linkThickness.u);
  return { value: mm(width - setting.linkThickness.value), u };
}

/** Standard uncertainties by which a value must be within its limit to be called so at 95 %. */
const SURELY = 1.645;

/**
 * How much deeper than levelling an edge must be dressed so that its flared mouths rock no more than the limit: the excess of play over the
 * flare's slope, at the station that asks for most. 0 where none is too loose; null where a parallel groove is: metal off will not narrow it.
 */
function deeperFor(stations: readonly Station[], plan: DressPlan, context: EdgeContext): number | null {
  const wanted = stations.map((station, i) => {
    const play = playAfter(station, i, plan, context.setting);
    const groove = grooveOf(station);
    if (!play || !groove || (plan.target[i] ?? null) === null || play.value <= context.playLimit + ROUNDING) return 0;
    const { mouth, deep, deepAt } = groove;
    const flare = deep === null || deepAt === null || deepAt === 0 ? 0 : (mouth - deep) / deepAt;
    // The levelling profile stands a tolerance over the low rail: that much comes off before any of it counts.
    const tolerance = context.limits['bar.dress.tolerance'].value;
    return flare <= 0 ? null : (play.value - context.playLimit + SURELY * play.u) / flare + tolerance;
  });
  return wanted.includes(null) ? null : Math.max(0, ...wanted.map((each) => each ?? 0));
}

function dressable(station: Station, { limits, overall }: EdgeContext): DressStation {
  const keepOutFrom = overall === null ? Infinity : overall - limits['bar.dress.keep-out'].value;
  return {
    at: station.at,
    near: station.near?.value ?? null,
    far: station.far?.value ?? null,
    groove: grooveOf(station),
    keptOut: station.at > keepOutFrom,
    chipped: chippedDepth(station, limits['bar.dress.chip'].value),
    leaveLow: station.leaveLow,
  };
}

function dressingOf(
  stations: readonly Station[],
  figures: readonly StationFigures[],
  context: EdgeContext,
): EdgeDressing | null {
  const { limits, setting, depthLimit } = context;
  const rules = { tolerance: limits['bar.dress.tolerance'].value, slope: limits['bar.dress.slope'].value };
  const rows = stations.map((station) => dressable(station, context));
  const levelling = dressPlan(rows, rules);
  if (!levelling.weakest) return null;
  const stop = (plan: DressPlan) => dressStop(plan, depthLimit, setting.tang?.value ?? null);
  const deeper = deeperFor(stations, levelling, context) ?? 0;
  const deepened = deeper > 0 ? dressPlan(rows, rules, deeper) : levelling;
  // Going deeper is worth it only where the bar survives it.
  const goesDeeper = deeper > 0 && stop(deepened) === null;
  const plan = goesDeeper ? deepened : levelling;
  const stepLimit = limits['bar.step'].value + ROUNDING;
  const stoppedBy = stop(plan);
  const stepped = figures.some(
    ({ step }, i) => step !== null && plan.target[i] !== null && Math.abs(step.value) > stepLimit,
  );
  return {
    plan,
    stoppedBy,
    feasible: stoppedBy === null,
    advised: plan.most > stepLimit || stepped,
    dressingsLeft:
      depthLimit === null || !plan.weakest
        ? null
        : dressingsLeft(plan.weakest.depth, depthLimit, limits['bar.dress.loss'].value),
    coarseFirst: plan.most > limits['bar.dress.coarse-first'].value,
    deeper: goesDeeper ? deeper : 0,
    exceptions: dressExceptions(rows, rules, limits['bar.dress.exception'].value),
    effort: dressEffort(plan, {
      pass: limits['bar.dress.pass'].value,
      setup: limits['bar.dress.minutes-setup'].value,
      perPass: limits['bar.dress.minutes-per-pass'].value,
    }),
  };
}

/** Computes the figures of an edge's stations and its dressing. The file stays off the nose where the bar's length is known. */
export function assessEdge(stations: readonly Station[], context: EdgeContext): EdgeAssessment {
  const figures = stations.map((station) => stationFigures(station, context.setting));
  return { stations, figures, dressing: dressingOf(stations, figures, context) };
}

/** Stations as they stand now: measured again after the rework where that was done, as first measured elsewhere. */
export function standingStations(stations: readonly Station[]): readonly Station[] {
  return stations.map((station) => afterRework(station) ?? station);
}

/** Whether any station was measured again. */
export const measuredAgain = (stations: readonly Station[]): boolean =>
  stations.some((station) => afterRework(station) !== null);
