import type { BarAssessment } from '../bar/checks';
import type { FitJudgement } from '../fit';
import type { Check } from '../judge';
import type { LoopAssessment } from '../loop/assessed';
import type { BenchSheet } from '../sheet';
import type { DriftBelief, Told } from '../symptom';

/** What causes are told of the judged parts. */
export const toldOf = (sheet: BenchSheet, { checks, fit, loop, bar }: Judged, drift: DriftBelief): Told => ({
  sheet,
  checks,
  fit,
  tension: loop.tension,
  pattern: bar.wearPattern,
  wearPlace: bar.wearPlace,
  drift,
});

interface Judged {
  readonly checks: readonly Check[];
  readonly fit: readonly FitJudgement[];
  readonly loop: LoopAssessment;
  readonly bar: BarAssessment;
}
