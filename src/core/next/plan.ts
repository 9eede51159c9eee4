import type { NextMeasurement } from './asked';
import { minutesOf } from './order';

/** The ordered list of readings that can decide a job, and what they take in all. */
export interface MeasuringPlan {
  readonly steps: readonly NextMeasurement[];
  readonly minutes: number;
}

/**
 * The shortest list that can decide the job as it stands: of measurements that answer one question the first is enough.
 * Its first line is the next best measurement, and it grows shorter with every reading that clears up what it asks for.
 */
export function measuringPlan(next: readonly NextMeasurement[]): MeasuringPlan {
  const answered = new Set<string>();
  const steps = next.filter(({ question }) => !answered.has(question) && answered.add(question));
  return { steps, minutes: minutesOf(steps) };
}
