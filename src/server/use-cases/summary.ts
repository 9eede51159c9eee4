import type { Appraisal, Rules } from '../../core/assess';
import { partStories } from '../../core/course';
import { nearMisses } from '../../core/fit';
import { asItCame } from '../../core/handover';
import { brought, judgedParts, type Verdict } from '../../core/judge';
import { visitFacts } from '../../core/life';
import { nextStep, stepOfReading, stepStates, waitsFor } from '../../core/workflow';
import type { UnitSystem } from '../../core/quantity';
import { PARTS } from '../../core/reading';
import { readingAt, sheetFromEntries, type BenchSheet, type EntryBy } from '../../core/sheet';
import { currentReadings, findJob, keepOfJob, type JobRecord, type KeptOfJob } from '../../data/repositories';
import type { Transaction } from '../../data/store';
import type { InEachUnit, JobSummary, ShownSummary } from '../../contract';
import { nextSentence, replacedPart, stepName, verdictReason } from '../../wording';
import { courseOf, type StoredCourse } from './course';
import { jobRules } from './job-rules';
import { appraised } from './kept-appraisals';
import * as texts from '#language/server';

/** Raised whenever a change of the programme makes stored summaries out of date. */
const SUMMARY_VERSION = 14;

/** Names what a summary was made with: it is made again when the limits, the codes or the programme change. */
export function summaryKey({ limits, codes, schools, studies }: Rules): string {
  const figures = Object.values(limits).map(({ value, provenance }) => [value, provenance]);
  return `${SUMMARY_VERSION}:${JSON.stringify([figures, codes.map(({ code, pitch, gauge }) => [code, pitch, gauge]), schools, studies])}`;
}

/**
 * Whether what is kept of a job still says what it comes to. Of one that has gone no change of the rules moves it: only
 * another version of the programme does.
 * @param key of the rules in force
 */
export const isTrueStill = (
  { state, summaryKey: made }: Pick<JobRecord, 'state' | 'summaryKey'>,
  key: string,
): boolean => (state === 'handed-over' ? (made ?? '').startsWith(`${SUMMARY_VERSION}:`) : made === key);

/** What is kept of a job beside its readings: what the Bench shows, its test cut, and the words it is found by. */
export interface Kept {
  readonly summary: JobSummary;
  readonly cut: { readonly predicted: number; readonly measured: number } | null;
  readonly words: string;
}

/** What a job's readings come to. */
export function summarise(entries: readonly EntryBy[], rules: Rules, course: StoredCourse): Kept {
  const { sheet } = sheetFromEntries(entries, rules.studies);
  const appraisal = appraised(sheet, rules, course.choices);
  const { cut } = appraisal.proof;
  return {
    summary: {
      ...summaryOf(sheet, appraisal, course),
      visit: visitOf(sheet, appraisal, rules, course),
      causes: causesFound(appraisal),
      nearMisses: nearMisses(appraisal),
    },
    cut: cut && cut.predicted !== null ? { predicted: cut.predicted, measured: cut.measured } : null,
    words: wordsOf(entries, appraisal, course),
  };
}

/** What is said of its parts to the jobs that follow it: as they came, and as they went once it has gone. */
function visitOf(
  sheet: BenchSheet,
  appraisal: Appraisal,
  rules: Rules,
  { handedOver, choices }: StoredCourse,
): JobSummary['visit'] {
  const before = appraised(asItCame(sheet), rules, null);
  const { identity } = appraisal;
  return visitFacts({ sheet, identity, before, now: appraisal, gone: handedOver ? choices : null });
}

/** What was found to bring about what the customer complains of: of each symptom the cause that leads. */
function causesFound({ diagnoses }: Appraisal): JobSummary['causes'] {
  const leading = diagnoses.flatMap(({ causes: [first], unexplainedShare }) =>
    first && first.for.length > 0 && first.share > unexplainedShare ? [first.cause] : [],
  );
  return [...new Set(leading)];
}

function summaryOf(sheet: BenchSheet, appraisal: Appraisal, course: StoredCourse): ShownSummary {
  const step = nextStep(stepStates(sheet, appraisal, course));
  const { signedOff: signed, lacksParts } = course;
  return {
    verdicts: Object.fromEntries(
      PARTS.map((part) => [part, appraisal.verdicts[part].action]),
    ) as JobSummary['verdicts'],
    why: Object.fromEntries(
      PARTS.map((part) => [part, inEachUnit((unit) => decidingSentence(appraisal.verdicts[part], unit))]),
    ) as JobSummary['why'],
    stories: partStories(sheet, appraisal.verdicts, course).map(({ part, moment, stands, isDone, contradicted }) => ({
      part,
      moment,
      stands,
      isDone,
      contradicted,
    })),
    brought: PARTS.filter((part) => brought(sheet, part) && !(part === 'nose' && sheet.bar?.nose === 'hard')),
    judged: judgedParts(sheet),
    next: { step, text: inEachUnit((unit) => nextText(step, appraisal, unit)) },
    orderReady: 'order' in appraisal.order,
    waits: waitsFor({ sheet, appraisal, signed, lacksParts }),
  };
}

const inEachUnit = (says: (unit: UnitSystem) => string): InEachUnit => ({ mm: says('mm'), in: says('in') });

const decidingSentence = ({ reasons: [first] }: Verdict, unit: UnitSystem): string =>
  first ? verdictReason(first, unit) : '';

function nextText(step: JobSummary['next']['step'], { next }: Appraisal, unit: UnitSystem): string {
  if (step === null) return texts.nothingLeftToDo;
  const first = next.find(({ measure }) => stepOfReading(measure) === step);
  return first ? `${stepName[step]}: ${nextSentence(first, unit)}` : `${stepName[step]}.`;
}

/** What a job is found by: what was written in words, why parts were condemned, and the parts that were chosen. */
function wordsOf(entries: readonly EntryBy[], { verdicts }: Appraisal, { skus }: StoredCourse): string {
  const written = entries.filter(({ path }) => readingAt(path)?.kind.kind === 'text').map(({ text }) => text);
  const condemned = PARTS.filter((part) => verdicts[part].action === 'replace').flatMap((part) => [
    replacedPart(part),
    ...verdicts[part].reasons.map((reason) => verdictReason(reason)),
  ]);
  return [...written, ...condemned, ...skus].join(' · ');
}

/** What a job's readings come to, with what is stored of it. */
export async function keptOf(
  db: Transaction,
  job: Pick<JobRecord, 'id' | 'state'>,
  rules: Rules,
  entries?: readonly EntryBy[],
): Promise<Kept> {
  const [course, read] = await Promise.all([courseOf(db, job), entries ?? currentReadings(db, [job.id])]);
  return summarise(read, rules, course);
}

type Whose = Pick<JobRecord, 'id' | 'state' | 'waits' | 'customer' | 'saw'>;

/** What is written of a job that comes to this. */
export function writtenOf(job: Whose, { summary, cut, words }: Kept, key: string): KeptOfJob {
  // A job that was signed off before there was a hand-over has left the bench, and stays off it.
  const hasLeft = job.state === 'handed-over' || (job.state === 'signed-off' && job.waits === null);
  const waits = hasLeft ? null : summary.waits;
  const whose = [job.customer.name, job.saw?.label, job.saw?.tag].filter(Boolean).join(', ');
  return { summary, key, waits, cut, text: [whose, words].filter(Boolean).join(' · ') };
}

/** Keeps what a job's readings come to. */
export async function keep(tx: Transaction, job: Whose, kept: Kept, key: string): Promise<void> {
  await keepOfJob(tx, job.id, writtenOf(job, kept, key));
}

/**
 * Brings what is kept of a job up to date with its readings and what became of it.
 * @param rules in force
 */
export async function refreshSummary(tx: Transaction, jobId: string, rules: Rules): Promise<void> {
  const job = await findJob(tx, jobId);
  if (!job) return;
  const its = job.state === 'handed-over' ? (await jobRules(tx, job)).rules : rules;
  await keep(tx, job, await keptOf(tx, job, its), summaryKey(its));
}
