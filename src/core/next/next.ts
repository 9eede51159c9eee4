import { EDGES, type Edge } from '../bar';
import type { InstrumentId } from '../quantity';
import { minutesFor, stationPath, type Askable, type BenchSheet } from '../sheet';
import type { Part } from '../reading';
import type { Identity } from '../identify';
import type { BarAssessment } from '../bar/checks';
import { judgedParts, missingReadings, readingOf, type Check, type Verdict } from '../judge';
import type { FitJudgement } from '../fit';
import { causesIn, EVIDENCE_LIST, type Cause, type Diagnosis, type Symptom } from '../symptom';
import { gainOfRepeat } from './gain';

/** Why a measurement is worth making. */
export type NextReason =
  | { readonly code: 'never-measured'; readonly part: Part }
  | { readonly code: 'too-close'; readonly check: Check; readonly instrument: InstrumentId }
  | { readonly code: 'settles'; readonly property: 'pitch' | 'gauge' | 'driveLinks' }
  | { readonly code: 'limit-waits'; readonly property: 'pitch' | 'gauge' }
  | { readonly code: 'one-side-known'; readonly check: Check }
  | { readonly code: 'step-may-stand'; readonly edge: Edge; readonly chance: number }
  /** Somebody was not sure of what they saw, or it contradicts what was measured. */
  | { readonly code: 'not-sure'; readonly check: Check }
  /** It separates the two causes in front of a complaint. */
  | { readonly code: 'separates'; readonly symptom: Symptom; readonly between: readonly [Cause, Cause] }
  /** A chain that came off may have hurt what catches it, and the groove. */
  | { readonly code: 'came-off' };

/** One measurement worth making: what it takes off the chance of a wrong verdict, and the minutes it costs. */
export interface NextMeasurement {
  readonly measure: Askable;
  readonly gain: number;
  readonly minutes: number;
  readonly reason: NextReason;
  /** What it answers: of several that answer one question the best is enough. */
  readonly question: string;
}

/** Before it is known what else answers the same question. */
type Asked = Omit<NextMeasurement, 'question'> & { readonly question?: string };

/** With nothing known of it, a condemning reading is as likely good as bad: deciding blind is wrong half the time. */
const BLIND = 0.5;

/** One more reading for each condemning check that is too close to call, with its own tool, in the unit of its value. */
function repeats(checks: readonly Check[]): Asked[] {
  return checks.flatMap((check): Asked[] => {
    const { condemns, outcome, value, limit, uncertainty, repeat } = check;
    if (!condemns || outcome !== 'undecided' || value === null || limit === null || !uncertainty || !repeat) return [];
    const gain = gainOfRepeat(value - limit, uncertainty, Math.min(uncertainty, repeat.u));
    const reason = { code: 'too-close', check, instrument: repeat.tool } as const;
    const { measure } = repeat;
    return [
      { measure, gain: Math.max(gain, LEAST_GAIN), minutes: minutesFor(measure), reason, question: aboutCheck(check) },
    ];
  });
}

/** What could come out either way and has no figure: somebody looks again. */
function looksAgain(checks: readonly Check[]): Asked[] {
  return checks.flatMap((check): Asked[] => {
    if (!check.condemns || check.outcome !== 'undecided' || check.value !== null) return [];
    const measure = check.repeat?.measure ?? readingOf(check.id);
    if (!measure) return [];
    return [
      {
        measure,
        gain: BLIND,
        minutes: minutesFor(measure),
        reason: { code: 'not-sure', check },
        question: aboutCheck(check),
      },
    ];
  });
}

/** What is undecided is never worth nothing to measure again. */
const LEAST_GAIN = 0.01;

/** All readings that would settle one check answer one question. */
const aboutCheck = ({ id, at }: Check): string => [id, at?.edge, at?.station, at?.rail].join(' ');

/** Where only one side of a value is known: the other side is what to measure. */
function otherSide(checks: readonly Check[]): Asked[] {
  return checks.flatMap((check): Asked[] => {
    const { condemns, outcome, note, at, bound, repeat } = check;
    if (!condemns || outcome !== 'undecided') return [];
    const found = (measure: Askable): Asked => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: 'one-side-known', check },
      question: aboutCheck(check),
    });
    const there = <F extends 'mouth' | 'deep'>(field: F) => stationPath(at?.edge ?? 'A', at?.station ?? 0, field);
    if (note?.code === 'mouth-alone') return [found(there('deep')), found('bar.checks.straightEdge')];
    if (note?.code === 'floor-alone') return [found(there('mouth'))];
    return bound && repeat ? [found(repeat.measure)] : [];
  });
}

/** A step may stand and the tool cannot show it: half a minute with the square, or the edge stood up. */
function levelTests({ standing }: Pick<BarAssessment, 'standing'>, sheet: BenchSheet): Asked[] {
  return EDGES.flatMap((edge): Asked[] => {
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
    const question = `level ${edge}`;
    const at = (measure: Askable): Asked => ({ measure, gain, minutes: minutesFor(measure), reason, question });
    return [
      ...(sheet.bar?.edges?.[edge]?.stands ? [] : [at(`bar.edges.${edge}.stands`)]),
      ...(steepest ? [at(stationPath(edge, steepest.i, 'square'))] : []),
    ];
  });
}

/** A chance of a step below this, or above its complement, is no question. */
const WORTH_A_TEST = 0.2;

/** Readings that a part to be judged waits for: what every part of its kind needs, and what this one's verdict names. */
function missing(sheet: BenchSheet, verdicts: readonly Verdict[]): Asked[] {
  const parts = judgedParts(sheet);
  return verdicts.flatMap(({ part, action, reasons }) => {
    if (action !== 'undecided' || !parts.includes(part)) return [];
    const named = reasons.flatMap((reason) => (reason.code === 'missing' ? reason.readings : []));
    return [...new Set([...missingReadings(sheet, part), ...named])].map((measure): Asked => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: 'never-measured', part },
    }));
  });
}

/** What would settle the three numbers of the chain, each by the observation that gains most a minute. */
function identifying(sheet: BenchSheet, { chain }: Identity): Asked[] {
  const isThere = judgedParts(sheet).includes('chain') || sheet.job?.brought?.includes('scrap');
  if (!isThere) return [];
  return (['pitch', 'gauge', 'driveLinks'] as const).flatMap((property): Asked[] => {
    const { settledBy } = chain[property];
    if (!settledBy) return [];
    const minutes = settledBy.minutes * timesToTake(sheet, settledBy.measure);
    return [{ ...settledBy, minutes, reason: { code: 'settles', property }, question: `chain ${property}` }];
  });
}

/** Links are counted twice, even when stamped. */
const timesToTake = ({ chain }: BenchSheet, measure: Askable): number =>
  measure === 'chain.driveLinks' && (chain?.driveLinks?.length ?? 0) === 0 ? 2 : 1;

/** Limits that wait for a number of the bar: what would settle it, or the stamp. */
function limitWaits(checks: readonly Check[], { bar }: Identity): Asked[] {
  const waits = (reading: Askable) =>
    checks.some(({ note }) => note?.code === 'needs' && note.readings.includes(reading));
  return (['pitch', 'gauge'] as const).flatMap((property): Asked[] => {
    if (!waits(`bar.${property}`)) return [];
    const measure = bar[property].settledBy?.measure ?? 'bar.stamp';
    return [{ measure, gain: BLIND, minutes: minutesFor(measure), reason: { code: 'limit-waits', property } }];
  });
}

/** Measured values that nothing holds for themselves: a reading that contradicts another, a mark that bounds one side only. */
function unjudged(checks: readonly Check[]): Asked[] {
  return checks.flatMap((check): Asked[] => {
    const { outcome, value, repeat, note } = check;
    if (outcome !== 'not-measured' || value === null || !repeat) return [];
    if (note?.code === 'needs' && note.readings.some((reading) => reading === 'bar.pitch' || reading === 'bar.gauge'))
      return [];
    const { measure } = repeat;
    return [{ measure, gain: BLIND, minutes: minutesFor(measure), reason: { code: 'one-side-known', check } }];
  });
}

/** The check that separates the two causes in front, for each symptom of the complaint. */
const separating = (diagnoses: readonly Diagnosis[]): Asked[] =>
  diagnoses.flatMap(({ symptom, next }): Asked[] => {
    if (!next) return [];
    const { measure, gain, minutes, between } = next;
    return [{ measure, gain, minutes, reason: { code: 'separates', symptom, between }, question: `cause ${symptom}` }];
  });

/** What a chain that came off may have hurt, where that came along and nobody has looked. */
function afterDerailing(sheet: BenchSheet, fit: readonly FitJudgement[], verdicts: readonly Verdict[]): Asked[] {
  const guards = fit.find(({ rule }) => rule === 'saw-guards-are-whole')?.reason;
  const hasSaw = sheet.job?.brought?.includes('whole-saw') ?? false;
  const open = hasSaw && guards?.code === 'not-known' ? guards.missing : [];
  const condemned = verdicts.some(({ part, action }) => part === 'bar' && action === 'replace');
  const groove: readonly Askable[] =
    sheet.chain?.checks?.derailed === 'yes' && sheet.bar && !sheet.bar.checks?.grooveShape && !condemned
      ? ['bar.checks.grooveShape']
      : [];
  return [...open, ...groove].map((measure) => ({
    measure,
    gain: WORTH_A_LOOK,
    minutes: minutesFor(measure),
    reason: { code: 'came-off' },
  }));
}

/** What a look is worth where something may have been hurt. */
const WORTH_A_LOOK = 0.2;

/** How much of the open complaint a reading speaks of: the shares of all causes that it is evidence for, where the cause is not as good as found. */
function bearing(measure: Askable, diagnoses: readonly Diagnosis[]): number {
  const open = diagnoses.filter(({ next }) => next !== null);
  return EVIDENCE_LIST.filter(([, { asks }]) => asks.includes(measure))
    .flatMap(([, evidence]) => causesIn(evidence))
    .flatMap((cause) => open.flatMap(({ causes }) => causes.filter((each) => each.cause === cause)))
    .reduce((sum, { share }) => sum + share, 0);
}

/** What a sheet means, as far as it decides what to measure. */
export interface Meaning {
  readonly sheet: BenchSheet;
  readonly identity: Identity;
  readonly checks: readonly Check[];
  readonly verdicts: readonly Verdict[];
  readonly bar: BarAssessment;
  readonly fit: readonly FitJudgement[];
  readonly diagnoses: readonly Diagnosis[];
}

/** Everything that is worth asking for, in no order. */
function worthAsking({ sheet, identity, checks, verdicts, bar, fit, diagnoses }: Meaning): readonly Asked[] {
  const open = verdicts.filter(({ action }) => action === 'undecided').map(({ part }) => part);
  const undecided = checks.filter(({ part }) => open.includes(part));
  const isBarOpen = verdicts.some(({ part, action }) => part === 'bar' && action !== 'replace');
  return [
    ...missing(sheet, verdicts),
    ...limitWaits(undecided, identity),
    ...otherSide(undecided),
    ...unjudged(undecided),
    ...repeats(undecided),
    ...looksAgain(undecided),
    ...(isBarOpen ? levelTests(bar, sheet) : []),
    ...identifying(sheet, identity),
    ...separating(diagnoses),
    ...afterDerailing(sheet, fit, verdicts),
  ];
}

/**
 * Measurements worth making, one entry per reading: first what takes most off the chance of a wrong verdict and speaks most of the complaint, per minute.
 */
export function nextMeasurements(meaning: Meaning): readonly NextMeasurement[] {
  const best = new Map<string, NextMeasurement>();
  for (const asked of worthAsking(meaning)) {
    const next = { question: asked.measure, ...asked };
    if (next.gain > (best.get(next.measure)?.gain ?? 0)) best.set(next.measure, next);
  }
  const rate = ({ measure, gain, minutes }: NextMeasurement) => (gain + bearing(measure, meaning.diagnoses)) / minutes;
  const rated = [...best.values()].map((next) => ({ next, by: rate(next) }));
  return rated.sort((a, b) => b.by - a.by).map(({ next }) => next);
}

/** The ordered list of readings that can decide a job, and what they take in all. */
export interface MeasuringPlan {
  readonly steps: readonly NextMeasurement[];
  readonly minutes: number;
}

/**
 * The shortest list that can decide the job as it stands: of measurements that answer one question the first is enough. Its first line is the next best measurement, and it grows shorter with every
 * reading that clears up what it asks for.
 */
export function measuringPlan(next: readonly NextMeasurement[]): MeasuringPlan {
  const answered = new Set<string>();
  const steps = next.filter(({ question }) => !answered.has(question) && answered.add(question));
  return { steps, minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0) };
}
