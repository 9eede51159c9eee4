import { judgeFit, type FitJudgement } from '../fit';
import type { Limits } from '../families';
import { identify, type Identity } from '../identify';
import { decideOrder, type OrderOutcome } from '../order';
import { estimate } from '../quantity';
import { PARTS, type BenchSheet, type Part } from '../sheet';
import { assessBar, type BarAssessment } from './bar';
import { assessChain, type ChainAssessment } from './chain';
import type { Check } from './check';
import { nextMeasurements, type NextMeasurement } from './next';
import { assessDriveSprocket, assessNose, noseOnBar } from './sprocket';
import { brought, decide, missingReadings, operationsFor, type Verdict } from './verdict';

/** All that a sheet means, as data: the wording makes the document of it. */
export interface Appraisal {
  readonly identity: Identity;
  readonly bar: BarAssessment;
  readonly chain: ChainAssessment;
  readonly checks: readonly Check[];
  readonly verdicts: Readonly<Record<Part, Verdict>>;
  readonly fit: readonly FitJudgement[];
  readonly order: OrderOutcome;
  readonly next: readonly NextMeasurement[];
}

/**
 * Assesses a bench sheet against a set of limits. Pure: the same sheet and limits give the same appraisal.
 * @param sheet a sheet as read; anything may be missing
 * @param limits the shop's limits
 */
export function assess(sheet: BenchSheet, limits: Limits): Appraisal {
  const identity = identify(sheet);
  const bar = assessBar(sheet, identity, limits);
  const chain = assessChain(sheet, identity, limits);
  const sprocket = assessDriveSprocket(sheet, limits);
  const nose = assessNose(sheet);
  const barNose = noseOnBar(sheet, nose);
  const checks = [...bar.checks, ...(barNose ? [barNose] : []), ...nose, ...chain.checks, ...sprocket];
  const verdicts = Object.fromEntries(
    PARTS.map((part) => [part, verdictOn(part, sheet, checks, bar, chain)]),
  ) as Record<Part, Verdict>;
  const fit = judgeFit({
    identity,
    tang: sheet.chain?.tang ? (estimate(sheet.chain.tang)?.value ?? null) : null,
    barMount: sheet.bar?.mount ?? null,
    sawMount: sheet.saw?.mount ?? null,
    kickbackClass: sheet.chain?.kickbackClass ?? null,
    operatorTrained: sheet.job?.operatorTrained ?? null,
    sprocketSound: sprocketSound(sprocket),
  });
  const order = decideOrder(identity, fit, {
    kickbackClass: sheet.chain?.kickbackClass ?? null,
    operatorTrained: sheet.job?.operatorTrained ?? null,
  });
  const next = nextMeasurements(sheet, identity, checks, Object.values(verdicts));
  return { identity, bar, chain, checks, verdicts, fit, order, next };
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
  const dress = part === 'bar' && (['A', 'B'] as const).some((edge) => bar.edges[edge].dressing?.advised);
  const fileBack = part === 'chain' && (sheet.chain?.damage?.length ?? 0) > 0 && chain.correction !== null;
  return decide(part, checks, missingReadings(sheet, part), operationsFor(checks, dress, fileBack));
}

function sprocketSound(checks: readonly Check[]): boolean | 'close' | null {
  const outcomes = checks.filter(({ condemns }) => condemns).map(({ outcome }) => outcome);
  if (outcomes.includes('fail')) return false;
  if (outcomes.includes('undecided')) return 'close';
  return outcomes.includes('not-measured') ? null : true;
}
