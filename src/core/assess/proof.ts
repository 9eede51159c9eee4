import { judgeProof, type Proof } from '../proof';
import type { Part } from '../reading';
import type { Schools } from '../schools';
import type { BenchSheet } from '../sheet';
import type { Appraisal } from './assess';

/**
 * How a saw was proved, with the parts renewed that its signed plan renews.
 * @param renewed parts that are new on the saw
 */
export function provedWith(
  sheet: BenchSheet,
  { checks, fit, loop, bar }: Pick<Appraisal, 'checks' | 'fit' | 'loop' | 'bar'>,
  renewed: readonly Part[],
  schools: Schools,
): Proof {
  const told = { sheet, checks, fit, tension: loop.tension, pattern: bar.wearPattern };
  return judgeProof(
    told,
    bar,
    checks.filter(({ id }) => id.startsWith('proof.')),
    renewed,
    schools,
  );
}
