import { EDGES } from '../declared';
import { doubtOf, factorsOf, type Factor, type PartDoubt } from '../doubt';
import { assessBar, isCalledByHand, type BarAssessment } from '../bar/checks';
import { assessChain, type ChainAssessment } from '../chain/checks';
import { asPlanned, classKnown, fitContext, judgeFit, type FitJudgement } from '../fit';
import { identify, type Identity } from '../identify';
import {
  asksToMeasureAgain,
  brought,
  decide,
  doneOn,
  missingReadings,
  notBrought,
  openWork,
  operationsFor,
  type Check,
  type Verdict,
} from '../judge';
import { assessLoop, type LoopAssessment } from '../loop/assessed';
import { measuringPlan, nextMeasurements, type MeasuringPlan, type NextMeasurement } from '../next';
import { assessNose, noseOnBar } from '../nose/checks';
import { hearPast, type PastHeard } from '../past/checks';
import { decideOrder, type OrderOutcome } from '../order';
import { proofChecks } from '../proof';
import { PARTS, type Part } from '../reading';
import { renewedParts, tensionCheck, type SignedChoices } from '../refit';
import { wantedOfDrive } from '../stock';
import type { Rules } from './rules';
import { toldOf } from './told';
import {
  beginOf,
  isWithin,
  idleReadings,
  withOwnScatter,
  type Askable,
  type BenchSheet,
  type IdleReading,
  type Operation,
} from '../sheet';
import {
  crookedFindings,
  crookedOf,
  diagnose,
  driftBelief,
  heatCauses,
  type Cause,
  type Crooked,
  type CrookedFinding,
  type Diagnosis,
} from '../symptom';
import { assessDriveSprocket, sprocketSound } from '../sprocket/checks';
import { atOnce, type Stages } from '../stages';
import { goingOut, type GoingOut } from './going-out';

/** All that a sheet means, as data: the wording makes the document of it. */
export interface Appraisal extends GoingOut {
  readonly identity: Identity;
  readonly bar: BarAssessment;
  readonly chain: ChainAssessment;
  readonly loop: LoopAssessment;
  readonly checks: readonly Check[];
  readonly verdicts: Readonly<Record<Part, Verdict>>;
  /** What each verdict hangs on; null while readings are missing that it waits for. */
  readonly hangsOn: Readonly<Record<Part, readonly Factor[] | null>>;
  /** How sure each verdict is. */
  readonly doubts: Readonly<Record<Part, PartDoubt | null>>;
  /** The rules of the set as the parts came. */
  readonly fit: readonly FitJudgement[];
  /** The same as the saw goes out: what the signed plan renews agrees, and is not held against it any more. */
  readonly fitPlanned: readonly FitJudgement[];
  readonly order: OrderOutcome;
  /** What ails it: each symptom of the complaint with its causes. */
  readonly diagnoses: readonly Diagnosis[];
  /** What draws a cut aside, whether or not anybody complains of it. */
  readonly crooked: Crooked;
  readonly crookedFindings: readonly CrookedFinding[];
  /** What may have made the bar run so hot that it went blue; empty where it did not. */
  readonly heat: readonly Cause[];
  readonly next: readonly NextMeasurement[];
  /** The shortest list of readings that can decide the job. */
  readonly plan: MeasuringPlan;
  /** What the past of parts that come again spares, and would spare once somebody says that they are the same. */
  readonly past: Pick<PastHeard, 'spared' | 'wouldSpare'>;
  /** Readings that stand and may move nothing, with the reason. */
  readonly idle: readonly IdleReading[];
}

/**
 * Appraises a bench sheet by the rules of a shop: the one way in which screens, papers, documents and records come to
 * what they say. Pure: the same sheet, rules and plan give the same appraisal.
 * @param asRead a sheet as read; anything may be missing
 * @param signed what the signed plan does with each part, which says what is new on the saw that goes out; null where
 *   none was signed, and what is condemned is renewed
 * @example appraise(sheet, DEFAULT_RULES, null).verdicts.bar.action // 'recondition'
 */
export const appraise = (asRead: BenchSheet, rules: Rules, signed: SignedChoices | null): Appraisal =>
  atOnce(appraising(asRead, rules, signed));

/**
 * The same a stage at a time, for who must answer others between.
 * @example atOnce(appraising(sheet, DEFAULT_RULES, null)).verdicts.bar.action // 'recondition'
 */
export function* appraising(
  asRead: BenchSheet,
  { limits, codes, schools }: Rules,
  signed: SignedChoices | null,
): Stages<Appraisal> {
  const sheet = withOwnScatter(asRead);
  const identity = identify(sheet, codes);
  yield;
  const bar = yield* assessBar(sheet, identity, limits, schools);
  yield;
  const chain = assessChain(sheet, identity, limits, schools);
  yield;
  const sprocket = assessDriveSprocket(sheet, limits);
  const nose = assessNose(sheet);
  const barNose = noseOnBar(sheet, nose);
  const today = [...bar.checks, ...(barNose ? [barNose] : []), ...nose, ...chain.checks, ...sprocket];
  const past = hearPast({ sheet, identity, bar, limits, checks: today });
  const { checks } = past;
  const verdicts = eachPart((part) => verdictOn(part, sheet, past, bar, chain));
  yield;
  const loop = assessLoop(sheet, identity, chain);
  const fit = judgeFit(fitContext(sheet, identity, sprocketSound(sprocket), verdicts, schools));
  const fitPlanned = signed ? asPlanned(fit, renewedParts(verdicts, signed)) : fit;
  const { teeth, sprocketKind: type, splines } = wantedOfDrive(sheet);
  const wanted = { teeth, type, splines, renewed: sheet.driveSprocket?.renewed };
  const order = decideOrder(identity, fitPlanned, classKnown(sheet, identity, schools), wanted, chain.sequence.ordered);
  yield;
  const idle = idleReadings(asRead, bar.setting.ownLink !== null || bar.setting.linkThickness !== null);
  const told = toldOf(sheet, { checks, fit, loop, bar }, driftBelief(bar, chain));
  const school = schools.curvedCuts;
  const diagnoses = diagnose(told, school);
  const crooked = crookedOf(told, school);
  yield;
  const next = nextMeasurements({
    sheet,
    identity,
    checks,
    verdicts: Object.values(verdicts),
    bar,
    chain,
    fit,
    diagnoses,
    past,
  }).filter((asked) => !isOfRenewed(asked, signed));
  const plan = measuringPlan(next);
  yield;
  const hangsOn = eachPart((part) => factorsOf(verdicts[part], checks, bar, doneOn(part, sheet)));
  const lift = tensionCheck(sheet, identity.chain.pitch.value ?? identity.bar.pitch.value, limits, schools);
  // How it goes out speaks of no part that came in: it is looked at beside the verdicts.
  const all = [...checks, ...(lift ? [lift] : []), ...proofChecks(sheet, limits)];
  const doubts = eachPart((part) => hangsOn[part] && doubtOf(hangsOn[part], verdicts[part].action));
  yield;
  return {
    identity,
    bar,
    chain,
    loop,
    checks: all,
    verdicts,
    hangsOn,
    doubts,
    fit,
    fitPlanned,
    order,
    diagnoses,
    crooked,
    crookedFindings: crookedFindings(crooked, { bar, chain, checks, limits }, school),
    heat: heatCauses(told, school),
    ...goingOut(sheet, { checks: all, fit, loop, bar, chain }, renewedParts(verdicts, signed), schools),
    next,
    plan,
    past: { spared: past.spared, wouldSpare: past.wouldSpare },
    idle,
  };
}

/** Of a part that the signed plan renews nothing more is asked. */
const isOfRenewed = ({ measure, reason }: NextMeasurement, signed: SignedChoices | null): boolean =>
  PARTS.some(
    (part) =>
      signed?.[part] === 'replace' &&
      (reason.code === 'chooses-part' ? reason.part === part : part !== 'nose' && isWithin(beginOf(measure), part)),
  );

const eachPart = <T>(of: (part: Part) => T): Readonly<Record<Part, T>> =>
  Object.fromEntries(PARTS.map((part) => [part, of(part)])) as Record<Part, T>;

/** Work that is planned and that no check calls for by itself. */
function plannedFor(part: Part, bar: BarAssessment, chain: ChainAssessment): readonly Operation[] {
  if (part === 'bar') return EDGES.some((edge) => bar.standing[edge].called) ? ['dress-rails', 'deburr'] : [];
  return part === 'chain' ? chain.planned : [];
}

/**
 * Readings that a part waits for beside what every part of its kind needs: of its own making, or because metal came
 * off.
 */
function waitsFor(
  part: Part,
  done: readonly Operation[],
  bar: BarAssessment,
  chain: ChainAssessment,
): readonly Askable[] {
  if (part === 'bar') return asksToMeasureAgain(done) && !bar.measuredAgain ? ['bar.after'] : [];
  return part === 'chain' ? chain.waitsFor : [];
}

/**
 * Level tests that agree decide that a bar is dressed: its depth then only tells what metal is left, and no verdict
 * waits for it.
 */
const isDecidedByHand = (part: Part, asked: Askable, bar: BarAssessment): boolean =>
  part === 'bar' && DEPTHS.includes(asked) && isCalledByHand(bar);

const DEPTHS: readonly Askable[] = EDGES.map((edge) => `bar.edges.${edge}.stations` as const);

function verdictOn(
  part: Part,
  sheet: BenchSheet,
  past: PastHeard,
  bar: BarAssessment,
  chain: ChainAssessment,
): Verdict {
  if (!brought(sheet, part)) return notBrought(part);
  const checks = past.checks.filter((check) => check.part === part);
  const done = doneOn(part, sheet);
  const wanted = operationsFor(checks, plannedFor(part, bar, chain));
  const missing = [
    ...missingReadings(sheet, part).filter((asked) => !past.spared.includes(asked)),
    ...(part === 'bar' ? past.instead.map(({ asks }) => asks) : []),
    ...waitsFor(part, done, bar, chain),
  ].filter((asked) => !isDecidedByHand(part, asked, bar));
  return decide(part, checks, missing, openWork(wanted, done), done);
}
