import { judgeFit, type FitContext, type FitJudgement } from '../fit';
import { DEFAULT_SCHOOLS, type Limits, type Schools } from '../families';
import { identify, type Identity, type LearnedCode } from '../identify';
import { decideOrder, type ClassKnown, type OrderOutcome } from '../order';
import { estimate, type LengthReading, type Mm } from '../quantity';
import { type Askable, PARTS, withOwnScatter, type BenchSheet, type Operation, type Part } from '../sheet';
import { assessBar, type BarAssessment } from './bar';
import { assessChain, type ChainAssessment } from './chain';
import type { Check } from './check';
import { idleReadings, type IdleReading } from './idle';
import { assessLoop, type LoopAssessment } from './loop';
import { nextMeasurements, type NextMeasurement } from './next';
import { assessDriveSprocket, assessNose, noseOnBar } from './sprocket';
import { brought, decide, missingReadings, operationsFor, type Verdict } from './verdict';

/** All that a sheet means, as data: the wording makes the document of it. */
export interface Appraisal {
  readonly identity: Identity;
  readonly bar: BarAssessment;
  readonly chain: ChainAssessment;
  readonly loop: LoopAssessment;
  readonly checks: readonly Check[];
  readonly verdicts: Readonly<Record<Part, Verdict>>;
  readonly fit: readonly FitJudgement[];
  readonly order: OrderOutcome;
  readonly next: readonly NextMeasurement[];
  /** Readings that stand and may move nothing, with the reason. */
  readonly idle: readonly IdleReading[];
}

/**
 * Assesses a bench sheet against a set of limits. Pure: the same sheet and limits give the same appraisal.
 * @param asRead a sheet as read; anything may be missing
 * @param limits the shop's limits
 * @param codes drive-link codes the shop has learned
 * @param schools the schools the shop follows where practitioners disagree
 */
export function assess(
  asRead: BenchSheet,
  limits: Limits,
  codes: readonly LearnedCode[] = [],
  schools: Schools = DEFAULT_SCHOOLS,
): Appraisal {
  const sheet = withOwnScatter(asRead);
  const identity = identify(sheet, codes);
  const bar = assessBar(sheet, identity, limits, schools);
  const chain = assessChain(sheet, identity, limits);
  const sprocket = assessDriveSprocket(sheet, limits);
  const nose = assessNose(sheet);
  const barNose = noseOnBar(sheet, nose);
  const checks = [...bar.checks, ...(barNose ? [barNose] : []), ...nose, ...chain.checks, ...sprocket];
  const verdicts = Object.fromEntries(
    PARTS.map((part) => [part, verdictOn(part, sheet, checks, bar, chain)]),
  ) as Record<Part, Verdict>;
  const loop = assessLoop(sheet, identity, chain);
  const fit = judgeFit(fitContext(sheet, identity, sprocketSound(sprocket), verdicts));
  const order = decideOrder(identity, fit, classKnown(sheet));
  const idle = idleReadings(asRead, bar.setting.ownLink !== null || bar.setting.linkThickness !== null);
  const next = nextMeasurements(sheet, identity, checks, Object.values(verdicts), bar);
  return { identity, bar, chain, loop, checks, verdicts, fit, order, next, idle };
}

const valueOf = (reading: LengthReading | undefined): Mm | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

/** What is known of the kickback class on this sheet. */
export function classKnown({ job, chain }: BenchSheet): ClassKnown {
  return {
    kickbackClass: chain?.kickbackClass ?? null,
    operatorTrained: job?.operatorTrained ?? null,
    kickbackChoice: job?.kickbackChoice?.trim() || null,
  };
}

/**
 * What the fit rules look at.
 * @param sound whether the drive sprocket is within its limit; null when not measured
 * @param verdicts null where nobody has judged the parts, as at the counter
 */
export function fitContext(
  sheet: BenchSheet,
  identity: Identity,
  sound: boolean | 'close' | null,
  verdicts: Appraisal['verdicts'] | null,
): FitContext {
  const { bar, saw, chain } = sheet;
  const judged = (action: Verdict['action']) =>
    verdicts ? PARTS.filter((part) => brought(sheet, part) && verdicts[part].action === action) : [];
  return {
    identity,
    tang: valueOf(chain?.tang),
    barMount: bar?.mount ?? null,
    sawMount: saw?.mount ?? null,
    barOilHole: bar?.oilHole ?? null,
    sawOilHole: saw?.oilHole ?? null,
    nose: { hard: bar?.nose === 'hard', teeth: bar?.noseTeeth ?? null, thickness: valueOf(bar?.thickness) },
    ...classKnown(sheet),
    sprocketSound: sound,
    condemned: judged('replace'),
    undecided: judged('undecided'),
  };
}

function verdictOn(
  part: Part,
  sheet: BenchSheet,
  all: readonly Check[],
  bar: BarAssessment,
  chain: ChainAssessment,
): Verdict {
  if (!brought(sheet, part))
    return { part, action: 'undecided', operations: [], reasons: [{ code: 'not-brought' }], decidedBy: null };
  const checks = all.filter((check) => check.part === part);
  const dress = part === 'bar' && (['A', 'B'] as const).some((edge) => bar.standing[edge].dressing?.advised);
  const fileBack = part === 'chain' && (sheet.chain?.damage?.length ?? 0) > 0 && chain.correction !== null;
  const done: readonly Operation[] = part === 'bar' ? (sheet.bar?.reworkDone ?? []) : [];
  // What was levelled, straightened or closed counts as done only once it was measured again.
  const open = operationsFor(checks, dress, fileBack).filter(
    (operation) => !done.includes(operation) || !SEEN_TO_BE_DONE.includes(operation),
  );
  const again: readonly Askable[] =
    done.some((operation) => MEASURED_AGAIN.includes(operation)) && !bar.measuredAgain ? ['bar.after'] : [];
  return decide(part, checks, [...missingReadings(sheet, part), ...again], open, done);
}

/** Work that shows by itself that it is done; all other work is done when its reading says so. */
const SEEN_TO_BE_DONE: readonly Operation[] = [
  'clean-oil-holes',
  'rake-groove',
  'deburr',
  'ease-pinch',
  'free-nose',
  're-nose',
];

/** Work that takes metal: only a second measurement tells what is left. */
const MEASURED_AGAIN: readonly Operation[] = ['dress-rails', 'close-rails'];

function sprocketSound(checks: readonly Check[]): boolean | 'close' | null {
  const outcomes = checks.filter(({ condemns }) => condemns).map(({ outcome }) => outcome);
  if (outcomes.includes('fail')) return false;
  if (outcomes.includes('undecided')) return 'close';
  return outcomes.includes('not-measured') ? null : true;
}
