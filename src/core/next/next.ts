import type { BarAssessment } from '../bar/checks';
import type { FitJudgement } from '../fit';
import type { Identity } from '../identify';
import type { Check, Verdict } from '../judge';
import type { BenchSheet } from '../sheet';
import type { Diagnosis } from '../symptom';
import type { Asked, NextMeasurement } from './asked';
import { levelTests, looksAgain, otherSide, repeats, unjudged } from './checks';
import { afterDerailing, bearing, separating } from './complaint';
import { identifying, limitWaits, missing } from './parts';

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
    const next = { at: null, question: asked.measure, ...asked };
    if (next.gain > (best.get(next.measure)?.gain ?? 0)) best.set(next.measure, next);
  }
  const rate = ({ measure, gain, minutes }: NextMeasurement) => (gain + bearing(measure, meaning.diagnoses)) / minutes;
  const rated = [...best.values()].map((next) => ({ next, by: rate(next) }));
  return rated.sort((a, b) => b.by - a.by).map(({ next }) => next);
}
