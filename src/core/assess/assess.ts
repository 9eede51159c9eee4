import { EDGES } from '../bar';
import { assessBar, type BarAssessment } from '../bar/checks';
import { assessChain, type ChainAssessment } from '../chain/checks';
import { classKnown, fitContext, judgeFit, type FitJudgement } from '../fit';
import { identify, type Identity, type LearnedCode } from '../identify';
import {
  asksToMeasureAgain,
  brought,
  decide,
  missingReadings,
  notBrought,
  openWork,
  operationsFor,
  type Check,
  type Verdict,
} from '../judge';
import type { Limits } from '../limits';
import { assessLoop, type LoopAssessment } from '../loop/assessed';
import { nextMeasurements, type NextMeasurement } from '../next';
import { assessNose, noseOnBar } from '../nose/checks';
import { decideOrder, type OrderOutcome } from '../order';
import { PARTS, type Part } from '../reading';
import { DEFAULT_SCHOOLS, type Schools } from '../schools';
import {
  idleReadings,
  withOwnScatter,
  type Askable,
  type BenchSheet,
  type IdleReading,
  type Operation,
} from '../sheet';
import { assessDriveSprocket, sprocketSound } from '../sprocket/checks';

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

/** Work that is planned and that no check calls for by itself. */
function plannedFor(part: Part, sheet: BenchSheet, bar: BarAssessment, chain: ChainAssessment): readonly Operation[] {
  if (part === 'bar')
    return EDGES.some((edge) => bar.standing[edge].dressing?.advised) ? ['dress-rails', 'deburr'] : [];
  const isFiledBack = part === 'chain' && (sheet.chain?.damage?.length ?? 0) > 0 && chain.correction !== null;
  return isFiledBack ? ['file-back'] : [];
}

function verdictOn(
  part: Part,
  sheet: BenchSheet,
  all: readonly Check[],
  bar: BarAssessment,
  chain: ChainAssessment,
): Verdict {
  if (!brought(sheet, part)) return notBrought(part);
  const checks = all.filter((check) => check.part === part);
  const done: readonly Operation[] = part === 'bar' ? (sheet.bar?.reworkDone ?? []) : [];
  const wanted = operationsFor(checks, plannedFor(part, sheet, bar, chain));
  const again: readonly Askable[] = asksToMeasureAgain(done) && !bar.measuredAgain ? ['bar.after'] : [];
  return decide(part, checks, [...missingReadings(sheet, part), ...again], openWork(wanted, done), done);
}
