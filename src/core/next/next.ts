import { EDGES, type Edge } from '../bar';
import type { InstrumentId } from '../quantity';
import { minutesFor, stationPath, type Askable, type BenchSheet } from '../sheet';
import type { Part } from '../reading';
import type { Identity } from '../identify';
import type { BarAssessment } from '../bar/checks';
import { brought, missingReadings, type Check, type Verdict } from '../judge';
import { gainOfRepeat } from './gain';

/** Why a measurement is worth making. */
export type NextReason =
  | { readonly code: 'never-measured'; readonly part: Part }
  | { readonly code: 'too-close'; readonly check: Check; readonly instrument: InstrumentId }
  | { readonly code: 'settles'; readonly property: 'pitch' | 'gauge' | 'driveLinks' }
  | { readonly code: 'limit-waits'; readonly property: 'pitch' | 'gauge' }
  | { readonly code: 'one-side-known'; readonly check: Check }
  | { readonly code: 'step-may-stand'; readonly edge: Edge; readonly chance: number };

/** One measurement worth making: what it takes off the chance of a wrong verdict, and the minutes it costs. */
export interface NextMeasurement {
  readonly measure: Askable;
  readonly gain: number;
  readonly minutes: number;
  readonly reason: NextReason;
}

/** With nothing known of it, a condemning reading is as likely good as bad: deciding blind is wrong half the time. */
const BLIND = 0.5;

/** One more reading for each condemning check that is too close to call, with its own tool, in the unit of its value. */
function repeats(checks: readonly Check[]): NextMeasurement[] {
  return checks.flatMap((check): NextMeasurement[] => {
    const { condemns, outcome, value, limit, uncertainty, repeat } = check;
    if (!condemns || outcome !== 'undecided' || value === null || limit === null || !uncertainty || !repeat) return [];
    const gain = gainOfRepeat(value - limit, uncertainty, Math.min(uncertainty, repeat.u));
    const reason = { code: 'too-close', check, instrument: repeat.tool } as const;
    return [{ measure: repeat.measure, gain: Math.max(gain, LEAST_GAIN), minutes: minutesFor(repeat.measure), reason }];
  });
}

/** What is undecided is never worth nothing to measure again. */
const LEAST_GAIN = 0.01;

/** Where only one side of a value is known: the other side is what to measure. */
function otherSide(checks: readonly Check[]): NextMeasurement[] {
  return checks.flatMap((check): NextMeasurement[] => {
    const { condemns, outcome, note, at, bound, repeat } = check;
    if (!condemns || outcome !== 'undecided') return [];
    const found = (measure: Askable): NextMeasurement => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: 'one-side-known', check },
    });
    const there = <F extends 'mouth' | 'deep'>(field: F) => stationPath(at?.edge ?? 'A', at?.station ?? 0, field);
    if (note?.code === 'mouth-alone') return [found(there('deep')), found('bar.checks.straightEdge')];
    if (note?.code === 'floor-alone') return [found(there('mouth'))];
    return bound && repeat ? [found(repeat.measure)] : [];
  });
}

/** A step may stand and the tool cannot show it: half a minute with the square, or the edge stood up. */
function levelTests({ standing }: Pick<BarAssessment, 'standing'>, sheet: BenchSheet): NextMeasurement[] {
  return EDGES.flatMap((edge): NextMeasurement[] => {
    const { belief, stations } = standing[edge];
    const chance = belief?.stepChance ?? 0;
    if (!belief || Math.min(chance, 1 - chance) < WORTH_A_TEST) return [];
    const open = belief.stations.flatMap((place, i) =>
      place && stations[i] && !stations[i].square ? [{ i, step: Math.abs(place.step.value) }] : [],
    );
    const steepest = open.reduce<{ i: number; step: number } | null>(
      (most, next) => (most && most.step >= next.step ? most : next),
      null,
    );
    const reason = { code: 'step-may-stand', edge, chance } as const;
    const gain = Math.min(chance, 1 - chance) / 2;
    const at = (measure: Askable): NextMeasurement => ({ measure, gain, minutes: minutesFor(measure), reason });
    return [
      ...(sheet.bar?.edges?.[edge]?.stands ? [] : [at(`bar.edges.${edge}.stands`)]),
      ...(steepest ? [at(stationPath(edge, steepest.i, 'square'))] : []),
    ];
  });
}

/** A chance of a step below this, or above its complement, is no question. */
const WORTH_A_TEST = 0.2;

function missing(sheet: BenchSheet, verdicts: readonly Verdict[]): NextMeasurement[] {
  return verdicts.flatMap(({ part, action }) => {
    if (action !== 'undecided' || !brought(sheet, part)) return [];
    return missingReadings(sheet, part).map((measure): NextMeasurement => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: 'never-measured', part },
    }));
  });
}

/** What would settle the three numbers of the chain, each by the observation that gains most a minute. */
function identifying(sheet: BenchSheet, { chain }: Identity): NextMeasurement[] {
  if (!sheet.chain) return [];
  return (['pitch', 'gauge', 'driveLinks'] as const).flatMap((property): NextMeasurement[] => {
    const { settledBy } = chain[property];
    return settledBy ? [{ ...settledBy, reason: { code: 'settles', property } }] : [];
  });
}

/** Limits that wait for a number of the bar: what would settle it, or the stamp. */
function limitWaits(checks: readonly Check[], { bar }: Identity): NextMeasurement[] {
  const waits = (reading: Askable) =>
    checks.some(({ note }) => note?.code === 'needs' && note.readings.includes(reading));
  return (['pitch', 'gauge'] as const).flatMap((property): NextMeasurement[] => {
    if (!waits(`bar.${property}`)) return [];
    const measure = bar[property].settledBy?.measure ?? 'bar.stamp';
    return [{ measure, gain: BLIND, minutes: minutesFor(measure), reason: { code: 'limit-waits', property } }];
  });
}

/** Measured values that nothing holds for themselves: a reading that contradicts another, a mark that bounds one side only. */
function unjudged(checks: readonly Check[]): NextMeasurement[] {
  return checks.flatMap((check): NextMeasurement[] => {
    const { outcome, value, repeat, note } = check;
    if (outcome !== 'not-measured' || value === null || !repeat) return [];
    if (note?.code === 'needs' && note.readings.some((reading) => reading === 'bar.pitch' || reading === 'bar.gauge'))
      return [];
    const { measure } = repeat;
    return [{ measure, gain: BLIND, minutes: minutesFor(measure), reason: { code: 'one-side-known', check } }];
  });
}

/** Measurements worth making, the largest gain per minute first; one entry per reading. */
export function nextMeasurements(
  sheet: BenchSheet,
  identity: Identity,
  checks: readonly Check[],
  verdicts: readonly Verdict[],
  bar: BarAssessment,
): readonly NextMeasurement[] {
  const open = verdicts.filter(({ action }) => action === 'undecided').map(({ part }) => part);
  const undecided = checks.filter(({ part }) => open.includes(part));
  const all = [
    ...missing(sheet, verdicts),
    ...limitWaits(undecided, identity),
    ...otherSide(undecided),
    ...unjudged(undecided),
    ...repeats(undecided),
    ...(verdicts.some(({ part, action }) => part === 'bar' && action !== 'replace') ? levelTests(bar, sheet) : []),
    ...identifying(sheet, identity),
  ];
  const best = new Map<string, NextMeasurement>();
  for (const next of all) if (next.gain > (best.get(next.measure)?.gain ?? 0)) best.set(next.measure, next);
  return [...best.values()].sort((a, b) => b.gain / b.minutes - a.gain / a.minutes);
}
