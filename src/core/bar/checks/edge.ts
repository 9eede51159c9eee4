import {
  dressEffort,
  dressExceptions,
  dressPlan,
  dressStop,
  dressingsLeft,
  grooveAfter,
  stationFigures,
  type DressEffort,
  type DressException,
  type DressPlan,
  type DressStation,
  type DressStop,
  type Setting,
  type StationFigures,
} from '..';
import {
  chippedDepth,
  deepShare,
  engagedAt,
  grooveOf,
  measuredAgainAt,
  playBounds,
  rockingWidth,
  type EdgeBelief,
  type PlayBounds,
  type Station,
} from '../../groove';
import type { Limits } from '../../limits';
import { mm, type Estimate, type Mm } from '../../quantity';
import { ROUNDING } from '../../judge';

/** The dressing of one edge with what it means. */
export interface EdgeDressing {
  readonly plan: DressPlan;
  readonly feasible: boolean;
  readonly advised: boolean;
  readonly stoppedBy: DressStop | null;
  readonly dressingsLeft: number | null;
  /** More comes off in one place than a file alone should take. */
  readonly coarseFirst: boolean;
  /**
   * Taken off everywhere beside levelling, to bring a flared mouth back within its play, mm; 0 where levelling is
   * enough.
   */
  readonly deeper: number;
  /** Dips that could be left, with what that would save the rest of the edge. */
  readonly exceptions: readonly DressException[];
  readonly effort: DressEffort;
}

export interface EdgeAssessment {
  readonly stations: readonly Station[];
  readonly figures: readonly StationFigures[];
  /** What is believed of the rails from all readings together; null where no depth was measured. */
  readonly belief: EdgeBelief | null;
  /** Null when no station has both rails. */
  readonly dressing: EdgeDressing | null;
  /** Whether the rails are to be dressed: by the plan, or by level tests that agree where nothing tells how much. */
  readonly called: boolean;
}

/** What an edge is judged with beside its stations. */
export interface EdgeContext {
  readonly setting: Setting;
  readonly limits: Limits;
  readonly depthLimit: number | null;
  readonly playLimit: number;
  readonly overall: Mm | null;
}

const off = (bound: Estimate | null, by: number): Estimate | null => bound && { ...bound, value: mm(bound.value - by) };

/**
 * Play left at a station by a plan: a flare that loses its top is narrower at the rails and as wide as before below.
 * Null where nothing is known of it.
 */
export function playAfter(station: Station, i: number, plan: DressPlan, setting: Setting): PlayBounds | null {
  const link = setting.ownLink ?? setting.linkThickness;
  if (!link) return null;
  const before = playBounds(station, setting.tang, link);
  if (!before.lo && !before.hi) return null;
  const groove = grooveOf(station);
  const removal = Math.max(plan.removeNear[i] ?? 0, plan.removeFar[i] ?? 0);
  if (!groove || removal === 0) return before;
  const engaged = engagedAt(station, setting.tang);
  const narrower = rockingWidth(groove, engaged) - rockingWidth(grooveAfter(groove, removal), engaged);
  return { lo: off(before.lo, narrower), hi: off(before.hi, narrower) };
}

/**
 * How far within its limit the play is to end, so that the widest of all places is surely within it: standard
 * uncertainties, and mm beside.
 */
const SURELY = 2;
const SURELY_BESIDE = 0.05;

/**
 * Metal to come off all rails at a station so that its flare rocks a link no more than the limit, mm; null where no
 * metal off will do it.
 */
function deeperAt(station: Station, play: Estimate, context: EdgeContext): number | null {
  const groove = grooveOf(station);
  if (!groove || groove.deep === null || groove.deepAt === null || groove.mouth <= groove.deep) return null;
  const { mouth, deep, deepAt } = groove;
  const flare = (mouth - deep) / deepAt;
  // Where the link reaches below the flare only the mouth's half of the width narrows; else both do.
  const half = deepShare(groove, engagedAt(station, context.setting.tang)) === 1 / 2 ? 2 : 1;
  const wanted = (half * (play.value - context.playLimit + SURELY * play.u + SURELY_BESIDE)) / flare;
  return wanted > deepAt ? null : wanted;
}

/**
 * How much deeper than levelling an edge must be dressed so that its flared mouths rock no more than the limit, at the
 * station that asks for most. 0 where none is too loose; null where a parallel groove is: metal off will not narrow it.
 */
function deeperFor(stations: readonly Station[], plan: DressPlan, context: EdgeContext): number | null {
  // The levelling profile stands a tolerance over the low rail: that much comes off before any of it counts.
  const tolerance = context.limits['bar.dress.tolerance'].value;
  const wanted = stations.map((station, i) => {
    const play = playAfter(station, i, plan, context.setting)?.hi;
    if (!play || (plan.target[i] ?? null) === null || play.value <= context.playLimit + ROUNDING) return 0;
    const deeper = deeperAt(station, play, context);
    return deeper === null ? null : deeper + tolerance;
  });
  return wanted.includes(null) ? null : Math.max(0, ...wanted.map((each) => each ?? 0));
}

/** A station as the plan sees it: the rails as they are believed to stand, where both were measured. */
function dressable(station: Station, belief: EdgeBelief | null, { limits, overall }: EdgeContext): DressStation {
  const believed = belief?.stations[station.index];
  const keepOutFrom = overall === null ? Infinity : overall - limits['bar.dress.keep-out'].value;
  return {
    at: station.at,
    near: station.near && believed ? believed.near.value : null,
    far: station.far && believed ? believed.far.value : null,
    groove: grooveOf(station),
    keptOut: station.at > keepOutFrom,
    chipped: chippedDepth(station, limits['bar.dress.chip'].value),
    leaveLow: station.leaveLow,
  };
}

function dressingOf(
  stations: readonly Station[],
  belief: EdgeBelief | null,
  context: EdgeContext,
): EdgeDressing | null {
  const { limits, setting, depthLimit } = context;
  const rules = {
    tolerance: limits['bar.dress.tolerance'].value,
    slope: limits['bar.dress.slope'].value,
    touch: limits['bar.dress.touch'].value,
  };
  const rows = stations.map((station) => dressable(station, belief, context));
  const levelling = dressPlan(rows, rules);
  if (!levelling.weakest) return null;
  const stop = (plan: DressPlan) => dressStop(plan, depthLimit, setting.tang?.value ?? null);
  const deeper = deeperFor(stations, levelling, context) ?? 0;
  const deepened = deeper > 0 ? dressPlan(rows, rules, deeper) : levelling;
  // Going deeper is worth it only where the bar survives it.
  const goesDeeper = deeper > 0 && stop(deepened) === null;
  const plan = goesDeeper ? deepened : levelling;
  const stoppedBy = stop(plan);
  return {
    plan,
    stoppedBy,
    feasible: stoppedBy === null,
    advised: calledFor(plan, belief, limits['bar.step'].value, deepestRut(stations)),
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

/** Work is called for when it is more likely needed than not. */
const MORE_LIKELY_THAN_NOT = 0.5;
/**
 * The same where level tests had their say, which answer a little oftener than they should (tried on simulated bars,
 * model §18).
 */
const BY_TESTS = 0.6;
/** A tool that cannot show a step of the limit calls for work only when it shows much more than that. */
const SHOWN_ALL_THE_SAME = 0.85;

/** How deep the deepest rut or pit of some stations is, mm; 0 where there is none. */
const deepestRut = (stations: readonly Station[]): number => Math.max(0, ...stations.map(({ rut }) => rut?.value ?? 0));

/**
 * Whether the rails are to be dressed: they stand out of level more likely than not, or levelling them takes more than
 * a step's limit. Where the doubt of the step is larger than the limit the tool cannot show it: then a level test is
 * asked for, and no file.
 */
function calledFor(plan: DressPlan, belief: EdgeBelief | null, stepLimit: number, rut: number): boolean {
  if (!belief || plan.most === 0) return false;
  // A rut is seen and measured by itself: no doubt of the step hides it.
  if (rut > stepLimit + ROUNDING) return true;
  if (belief.tests.length > 0) return belief.stepChance > BY_TESTS || plan.most > stepLimit + ROUNDING;
  const doubt = Math.max(...belief.stations.map((place) => place?.step.u ?? 0));
  if (doubt > stepLimit) return belief.stepChance > SHOWN_ALL_THE_SAME;
  return belief.stepChance > MORE_LIKELY_THAN_NOT || plan.most > stepLimit + ROUNDING;
}

/**
 * Computes the figures of an edge's stations and its dressing. The file stays off the nose where the bar's length is
 * known.
 */
export function assessEdge(
  stations: readonly Station[],
  belief: EdgeBelief | null,
  context: EdgeContext,
): EdgeAssessment {
  const figures = stations.map((station) => stationFigures(station, context.setting));
  const dressing = dressingOf(stations, belief, context);
  const isRutted = deepestRut(stations) > context.limits['bar.step'].value + ROUNDING;
  const called = dressing?.advised ?? (isRutted || (belief !== null && belief.byHand && belief.stepChance > BY_TESTS));
  return { stations, figures, belief, dressing, called };
}

/** Whether any station was measured again. */
export const measuredAgain = (stations: readonly Station[]): boolean => stations.some(measuredAgainAt);

/**
 * Whether the rails of any station were measured again: what was tried of the whole edge before says nothing of it now.
 */
export const dressedSince = (stations: readonly Station[]): boolean =>
  stations.some(({ after }) => after !== null && (after.near !== null || after.far !== null));
