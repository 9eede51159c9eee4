import { flatMap } from '../flat-map';
import type { FitJudgement } from '../fit';
import type { Verdict } from '../judge';
import { isThere, minutesFor, type Askable, type BenchSheet } from '../sheet';
import { FINDINGS, REACHES, type Diagnosis } from '../symptom';
import type { Asked } from './asked';

/** What to look at for each symptom of the complaint. */
export const lookingFor = (sheet: BenchSheet, diagnoses: readonly Diagnosis[]): Asked[] =>
  flatMap(diagnoses, ({ symptom, next }): Asked[] => {
    if (!next) return [];
    const { measure, gain, minutes, about } = next;
    const reason = { code: 'tells-cause', symptom, about, again: isThere(sheet, measure) } as const;
    return [{ measure, gain, minutes, reason, question: `cause ${symptom}` }];
  });

/** What a chain that came off may have hurt, where that came along and nobody has looked. */
export function afterDerailing(sheet: BenchSheet, fit: readonly FitJudgement[], verdicts: readonly Verdict[]): Asked[] {
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

/**
 * How much of the open complaint a reading speaks of: the shares of all causes that it may find or clear, where the
 * cause is not as good as found.
 */
export function bearing(measure: Askable, diagnoses: readonly Diagnosis[]): number {
  let sum = 0;
  for (const { next, causes } of diagnoses)
    if (next !== null)
      for (const { cause, share } of causes)
        if (REACHES.get(cause)!.some(([finding]) => (FINDINGS[finding].asks as readonly Askable[]).includes(measure)))
          sum += share;
  return sum;
}
