import { assess, brought, nextStep, stepOfReading, stepStates, type Appraisal } from '../../core/assess';
import type { Limits } from '../../core/families';
import { PARTS, type BenchSheet, sheetFromEntries, type Entry } from '../../core/sheet';
import { currentReadings, setSummary } from '../../data/repositories';
import type { Transaction } from '../../data/store';
import type { JobSummary } from '../../contract';
import { nextSentence, stepName } from '../../wording';

/** Raised whenever a change of the programme makes stored summaries out of date. */
const SUMMARY_VERSION = 1;

/** Names what a summary was made with: it is made again when the limits or the programme change. */
export function summaryKey(limits: Limits): string {
  return `${SUMMARY_VERSION}:${JSON.stringify(Object.values(limits).map(({ value, provenance }) => [value, provenance]))}`;
}

/** What the Bench shows of a job. */
export function summarise(entries: readonly Entry[], limits: Limits, signedOff: boolean): JobSummary {
  const { sheet } = sheetFromEntries(entries);
  return summaryOf(sheet, assess(sheet, limits), signedOff);
}

function summaryOf(sheet: BenchSheet, appraisal: Appraisal, signedOff: boolean): JobSummary {
  const step = nextStep(stepStates(sheet, appraisal, signedOff));
  return {
    verdicts: Object.fromEntries(
      PARTS.map((part) => [part, appraisal.verdicts[part].action]),
    ) as JobSummary['verdicts'],
    brought: PARTS.filter((part) => brought(sheet, part) && !(part === 'nose' && sheet.bar?.nose === 'hard')),
    next: { step, text: nextText(step, appraisal) },
    orderReady: 'order' in appraisal.order,
  };
}

function nextText(step: JobSummary['next']['step'], { next }: Appraisal): string {
  if (step === null) return 'Nothing left to do.';
  const first = next.find(({ measure }) => stepOfReading(measure) === step);
  return first ? `${stepName[step]}: ${nextSentence(first)}` : `${stepName[step]}.`;
}

/** Brings a job's stored summary up to date with its readings. */
export async function refreshSummary(
  tx: Transaction,
  jobId: string,
  limits: Limits,
  signedOff: boolean,
): Promise<void> {
  const entries = await currentReadings(tx, [jobId]);
  await setSummary(tx, jobId, summarise(entries, limits, signedOff), summaryKey(limits));
}
