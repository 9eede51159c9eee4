import { appraise, type Rules } from '../core/assess';
import { drawing, type DrawnDoubt } from '../core/doubt';
import type { BenchSheet } from '../core/sheet';

/** What is drawn: a sheet and what it is judged by, how often, and the seed. */
export interface DrawRequest {
  readonly sheet: BenchSheet;
  readonly rules: Rules;
  readonly draws: number;
  readonly seed: number;
}

/** Told how far it is, 0 to 1. */
export type OnProgress = (share: number) => void;

/** So long is drawn in one go before others get their turn, ms. */
const IN_ONE_GO = 12;

const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/**
 * Draws in steps, with a breath between them in which it can be told to stop. In a worker and in the page it is the
 * same, and so is what comes out.
 * @returns null where it was stopped
 */
export async function drawInSteps(
  { sheet, rules, draws, seed }: DrawRequest,
  onProgress: OnProgress,
  isStopped: () => boolean,
): Promise<DrawnDoubt | null> {
  const steps = drawing(appraise(sheet, rules, null), draws, seed);
  let since = performance.now();
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return step.value;
    if (performance.now() - since < IN_ONE_GO) continue;
    onProgress(step.value);
    await breath();
    if (isStopped()) return null;
    since = performance.now();
  }
}
