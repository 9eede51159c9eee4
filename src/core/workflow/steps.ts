import { flatMap } from '../flat-map';
import { STEP_ROWS, stepRow, STEPS, type Acts, type ActStep, type Step } from '../reading';
import { tensionOf } from '../refit';
import { beginOf, readingAt, type Askable, type BenchSheet } from '../sheet';
import type { Appraisal } from '../assess';
import type { JobCourse } from '../course';
import { missingReadings } from '../judge';

/** How a step stands. Nothing is locked: this only says what is missing. */
export interface StepState {
  readonly step: Step;
  readonly state: 'done' | 'open' | 'not-needed';
  /** Readings the step still waits for. */
  readonly missing: readonly Askable[];
}

type Standing = Omit<StepState, 'step'>;

const open = (...missing: Askable[]): Standing => ({ state: 'open', missing });
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

/** A step of acts to tick off: done when all are, asked for when what it is about was brought. */
function ticking(sheet: BenchSheet, step: ActStep): Standing {
  const { are, askedBy }: Acts = STEP_ROWS[step].acts;
  const ticked: readonly string[] = sheet[step]?.done ?? [];
  if (are.every((act) => ticked.includes(act))) return done;
  return sheet.job?.brought?.some((what) => askedBy.includes(what)) ? open() : notNeeded;
}

function identifying(sheet: BenchSheet, { identity }: Appraisal): Standing {
  if (!sheet.chain && !sheet.bar?.stamp) return open('bar.stamp', 'chain.span');
  const part = sheet.chain ? identity.chain : identity.bar;
  const left = (['pitch', 'gauge', 'driveLinks'] as const).filter((property) => part[property].status !== 'settled');
  return left.length === 0
    ? done
    : open(...left.map((property) => `${sheet.chain ? ('chain' as const) : ('bar' as const)}.${property}` as const));
}

/** A part's step is done when its verdict stands. A chain alone needs no bar. */
function judging(sheet: BenchSheet, part: 'bar' | 'chain' | 'driveSprocket', { verdicts }: Appraisal): Standing {
  const anything = sheet.bar ?? sheet.chain ?? sheet.driveSprocket;
  if (sheet[part] === undefined && anything) return notNeeded;
  return verdicts[part].action === 'undecided' ? open(...missingReadings(sheet, part)) : done;
}

/** Parts that are worked on; the nose with its bar. */
const WORKED_ON = ['bar', 'chain', 'driveSprocket'] as const;

/** Rework is open while a part calls for work, done when work was done and nothing is left, else not needed. */
function reworking(sheet: BenchSheet, { verdicts, bar, chain, renewed }: Appraisal): Standing {
  // What goes is not worked on.
  if (WORKED_ON.some((part) => !renewed.includes(part) && verdicts[part].operations.length > 0)) return open();
  const ticked = WORKED_ON.some((part) => (sheet[part]?.reworkDone?.length ?? 0) > 0);
  return bar.measuredAgain || chain.measuredAgain || ticked ? done : notNeeded;
}

/**
 * A complaint is understood when nothing is left to look at that would change what is named first; without one nothing
 * is asked.
 */
function explaining({ diagnoses }: Appraisal): Standing {
  if (diagnoses.length === 0) return notNeeded;
  const left = flatMap(diagnoses, ({ next }) => (next ? [next.measure] : []));
  return left.length === 0 ? done : open(...new Set(left));
}

/** The parts are back on when every act that applies was done and the chain does not hang. */
function refitting(sheet: BenchSheet, { checks, refit: list }: Appraisal): Standing {
  if (list.length === 0) return notNeeded;
  const ticked = sheet.refit?.done ?? [];
  // A tension that cannot be judged yet is none that was found right.
  const tension = tensionOf(checks);
  if ((tension && tension.outcome !== 'ok') || !list.every((act) => ticked.includes(act))) return open();
  return tension ? done : open('refit.lift');
}

function proving({ proof }: Appraisal): Standing {
  if (proof.state === 'not-needed') return notNeeded;
  return proof.state === 'passed' ? done : open(...proof.missing);
}

type Rule = (sheet: BenchSheet, appraisal: Appraisal, course: JobCourse) => Standing;

/** How each step stands that is no step of acts. */
const RULES: { readonly [S in Exclude<Step, ActStep>]: Rule } = {
  'take-in': takeIn,
  identify: identifying,
  bar: (sheet, appraisal) => judging(sheet, 'bar', appraisal),
  chain: (sheet, appraisal) => judging(sheet, 'chain', appraisal),
  sprocket: (sheet, appraisal) => judging(sheet, 'driveSprocket', appraisal),
  why: (_, appraisal) => explaining(appraisal),
  decide: (_sheet, _appraisal, { signedOff }) => (signedOff ? done : open()),
  rework: reworking,
  order: (_, { order }) => ('order' in order ? done : open()),
  refit: refitting,
  prove: (_, appraisal) => proving(appraisal),
  'hand-over': (_sheet, _appraisal, { handedOver }) => (handedOver ? done : open()),
};
const hasRule = (step: Step): step is keyof typeof RULES => step in RULES;

/** How each step of a job stands: by its own rule, else by its acts. */
export const stepStates = (sheet: BenchSheet, appraisal: Appraisal, course: JobCourse): readonly StepState[] =>
  STEPS.map((step) => ({
    step,
    ...(hasRule(step) ? RULES[step](sheet, appraisal, course) : ticking(sheet, step)),
  }));

/** The step to go on with: the first that is open, or null when all is done. */
export function nextStep(states: readonly StepState[]): Step | null {
  return states.find(({ state, step }) => state === 'open' && !stepRow(step).aside)?.step ?? null;
}

/** The step in which what is asked for is read. */
export function stepOfReading(asked: Askable): Step {
  return readingAt(beginOf(asked))?.told.step ?? 'bar';
}
