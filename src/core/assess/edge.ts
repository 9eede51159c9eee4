import {
  dressPlan,
  dressStop,
  dressingsLeft,
  grooveOf,
  stationFigures,
  type DressPlan,
  type DressStop,
  type Setting,
  type Station,
  type StationFigures,
} from '../bar';
import type { Limits } from '../families';
import type { Mm } from '../quantity';
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
}

export interface EdgeAssessment {
  readonly stations: readonly Station[];
  readonly figures: readonly StationFigures[];
  /** Null when no station has both rails. */
  readonly dressing: EdgeDressing | null;
}

/** Computes the figures of an edge's stations and its dressing. The file stays off the nose where the bar's length is known. */
export function assessEdge(
  stations: readonly Station[],
  setting: Setting,
  limits: Limits,
  depthLimit: number | null,
  overall: Mm | null,
): EdgeAssessment {
  const figures = stations.map((station) => stationFigures(station, setting));
  const keepOutFrom = overall === null ? Infinity : overall - limits['bar.dress.keep-out'].value;
  const dressable = stations.map((station) => ({
    at: station.at,
    near: station.near?.value ?? null,
    far: station.far?.value ?? null,
    groove: grooveOf(station),
    keptOut: station.at > keepOutFrom,
  }));
  const plan = dressPlan(dressable, {
    tolerance: limits['bar.dress.tolerance'].value,
    slope: limits['bar.dress.slope'].value,
  });
  if (!plan.weakest) return { stations, figures, dressing: null };
  const stepLimit = limits['bar.step'].value + ROUNDING;
  const stoppedBy = dressStop(plan, depthLimit, setting.tang?.value ?? null);
  const stepped = figures.some(
    ({ step }, i) => step !== null && plan.target[i] !== null && Math.abs(step.value) > stepLimit,
  );
  return {
    stations,
    figures,
    dressing: {
      plan,
      stoppedBy,
      feasible: stoppedBy === null,
      advised: plan.most > stepLimit || stepped,
      dressingsLeft:
        depthLimit === null ? null : dressingsLeft(plan.weakest.depth, depthLimit, limits['bar.dress.loss'].value),
      coarseFirst: plan.most > limits['bar.dress.coarse-first'].value,
    },
  };
}
