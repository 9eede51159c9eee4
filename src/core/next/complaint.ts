import { flatMap } from '../flat-map';
import type { FitJudgement } from '../fit';
import type { Verdict } from '../judge';
import { minutesFor, type Askable, type BenchSheet } from '../sheet';
import { EVIDENCE_LIST, REACHES, type Diagnosis } from '../symptom';
import type { Asked } from './asked';

/** The check that separates the two causes in front, for each symptom of the complaint. */
export const separating = (diagnoses: readonly Diagnosis[]): Asked[] =>
  flatMap(diagnoses, ({ symptom, next }): Asked[] => {
    if (!next) return [];
    const { measure, gain, minutes, between } = next;
    return [{ measure, gain, minutes, reason: { code: 'separates', symptom, between }, question: `cause ${symptom}` }];
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

/** How much of the open complaint a reading speaks of: the shares of all causes that it is evidence for, where the cause is not as good as found. */
export function bearing(measure: Askable, diagnoses: readonly Diagnosis[]): number {
  const speaks = flatMap(EVIDENCE_LIST, ([id, { asks }]) => (asks.includes(measure) ? [REACHES.get(id)!] : []));
  let sum = 0;
  for (const { next, causes } of diagnoses)
    if (next !== null)
      for (const { cause, share } of causes) for (const reach of speaks) if (reach.has(cause)) sum += share;
  return sum;
}
