import { CLEAN_ACTS, STRIP_ACTS, type BenchSheet } from '../sheet';
import type { Appraisal } from './assess';
import { missingReadings } from './verdict';

/** The steps of a job in working order. */
export const STEPS = [
  'take-in',
  'strip',
  'identify',
  'clean',
  'bar',
  'chain',
  'sprocket',
  'decide',
  'rework',
  'order',
] as const;
export type Step = (typeof STEPS)[number];

/** How a step stands. Nothing is locked: this only says what is missing. */
export interface StepState {
  readonly step: Step;
  readonly state: 'done' | 'open' | 'not-needed';
  /** Readings the step still waits for. */
  readonly missing: readonly string[];
}

type Standing = Omit<StepState, 'step'>;

const open = (...missing: string[]): Standing => ({ state: 'open', missing });
const done: Standing = { state: 'done', missing: [] };
const notNeeded: Standing = { state: 'not-needed', missing: [] };

function takeIn({ job }: BenchSheet): Standing {
  const missing = [
    ['job.complaint', (job?.symptoms?.length ?? 0) > 0 || Boolean(job?.complaint)],
    ['job.operatorTrained', job?.operatorTrained !== undefined],
  ] as const;
  const left = missing.filter(([, there]) => !there).map(([path]) => path);
  return left.length === 0 ? done : open(...left);
}

/** Stripping is asked for when somebody said that a whole saw came. */
function stripping({ job, strip }: BenchSheet): Standing {
  if (STRIP_ACTS.every((act) => strip?.done?.includes(act))) return done;
  return job?.brought?.includes('whole-saw') ? open() : notNeeded;
}

/** Cleaning is asked for when a bar came; a chain or a sprocket alone is wiped by hand. */
function cleaning({ job, clean }: BenchSheet): Standing {
  if (CLEAN_ACTS.every((act) => clean?.done?.includes(act))) return done;
  const bar = job?.brought?.some((what) => what === 'whole-saw' || what === 'bar');
  return bar ? open() : notNeeded;
}

function identifying(sheet: BenchSheet, { identity }: Appraisal): Standing {
  if (!sheet.chain && !sheet.bar?.stamp) return open('bar.stamp', 'chain.span');
  const part = sheet.chain ? identity.chain : identity.bar;
  const left = (['pitch', 'gauge', 'driveLinks'] as const).filter((property) => part[property].status !== 'settled');
  return left.length === 0 ? done : open(...left.map((property) => `${sheet.chain ? 'chain' : 'bar'}.${property}`));
}

/** A part's step is done when its verdict stands. A chain alone needs no bar. */
function judging(sheet: BenchSheet, part: 'bar' | 'chain' | 'driveSprocket', { verdicts }: Appraisal): Standing {
  const anything = sheet.bar ?? sheet.chain ?? sheet.driveSprocket;
  if (sheet[part] === undefined && anything) return notNeeded;
  return verdicts[part].action === 'undecided' ? open(...missingReadings(sheet, part)) : done;
}

/** Rework is open while the bar calls for work, done when work was done and nothing is left, else not needed. */
function reworking({ bar }: BenchSheet, { verdicts, bar: assessed }: Appraisal): Standing {
  if (verdicts.bar.operations.length > 0) return open();
  return assessed.measuredAgain || (bar?.reworkDone?.length ?? 0) > 0 ? done : notNeeded;
}

/** How each step of a job stands. */
export function stepStates(sheet: BenchSheet, appraisal: Appraisal, signedOff: boolean): readonly StepState[] {
  const standing: Record<Step, Standing> = {
    'take-in': takeIn(sheet),
    strip: stripping(sheet),
    identify: identifying(sheet, appraisal),
    clean: cleaning(sheet),
    bar: judging(sheet, 'bar', appraisal),
    chain: judging(sheet, 'chain', appraisal),
    sprocket: judging(sheet, 'driveSprocket', appraisal),
    decide: signedOff ? done : open(),
    rework: reworking(sheet, appraisal),
    order: 'order' in appraisal.order ? done : open(),
  };
  return STEPS.map((step) => ({ step, ...standing[step] }));
}

/** The step to go on with: the first that is open, or null when all is done. */
export function nextStep(states: readonly StepState[]): Step | null {
  return states.find(({ state, step }) => state === 'open' && step !== 'order')?.step ?? null;
}

const IDENTIFYING =
  /^(loop\.|setAside|bar\.(stamp|groove$|nosePitch|noseTeeth|listedLength|effectiveLength|reach)|driveSprocket\.(stamp|pitch|teeth)|chain\.(stamp|span|chassis|fileSize|driveLinkThickness|driveLinks|cutters$|sequence|template|loopLength|kickbackClass))/;

const CLEANING = /^(bar\.checks\.(resin|noseDirt)|chain\.checks\.resin)$/;

const REWORKING = /^bar\.(after$|reworkDone$|edgeDownNow$|edges\..*\.after\.)/;

/** The step in which a reading of the sheet is made. */
export function stepOfReading(path: string): Step {
  if (path.startsWith('job.') || path.startsWith('saw.')) return 'take-in';
  if (path.startsWith('strip.') || path === 'bar.edgeDown') return 'strip';
  if (path.startsWith('clean.') || CLEANING.test(path)) return 'clean';
  if (IDENTIFYING.test(path)) return 'identify';
  if (REWORKING.test(path)) return 'rework';
  if (path.startsWith('bar.')) return 'bar';
  return path.startsWith('chain.') ? 'chain' : 'sprocket';
}
