import { assess, type Appraisal } from '../../core/assess';
import { brought } from '../../core/judge';
import { nextStep, stepOfReading, stepStates } from '../../core/workflow';
import { PARTS } from '../../core/reading';
import { type BenchSheet, sheetFromEntries, type EntryBy } from '../../core/sheet';
import { currentReadings, setSummary } from '../../data/repositories';
import type { Transaction } from '../../data/store';
import type { JobSummary } from '../../contract';
import { nextSentence, stepName } from '../../wording';
import type { Rules } from './shop';

/** Raised whenever a change of the programme makes stored summaries out of date. */
const SUMMARY_VERSION = 6;

/** Names what a summary was made with: it is made again when the limits, the codes or the programme change. */
export function summaryKey({ limits, codes, schools, studies }: Rules): string {
  const figures = Object.values(limits).map(({ value, provenance }) => [value, provenance]);
  return `${SUMMARY_VERSION}:${JSON.stringify([figures, codes.map(({ code, pitch, gauge }) => [code, pitch, gauge]), schools, studies])}`;
}

/** What the Bench shows of a job. */
export function summarise(
  entries: readonly EntryBy[],
  { limits, codes, schools, studies }: Rules,
  signedOff: boolean,
): JobSummary {
  const { sheet } = sheetFromEntries(entries, studies);
  return summaryOf(sheet, assess(sheet, limits, codes, schools), signedOff);
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
export async function refreshSummary(tx: Transaction, jobId: string, rules: Rules, signedOff: boolean): Promise<void> {
  const entries = await currentReadings(tx, [jobId]);
  await setSummary(tx, jobId, summarise(entries, rules, signedOff), summaryKey(rules));
}
