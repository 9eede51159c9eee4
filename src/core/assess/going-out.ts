import { adviceFor, type Advice } from '../advice';
import { leanBelief, type BarAssessment, type LeanBelief } from '../bar/checks';
import type { ChainAssessment } from '../chain/checks';
import type { FitJudgement } from '../fit';
import type { Check } from '../judge';
import type { LoopAssessment } from '../loop/assessed';
import { edgeDown, judgeProof, type Proof } from '../proof';
import type { Part } from '../reading';
import { refitList } from '../refit';
import { type RefitAct } from '../declared';
import type { Schools } from '../schools';
import type { BenchSheet } from '../sheet';
import { driftBelief } from '../symptom';
import { toldOf } from './told';

/** How a saw goes out: what follows from the parts that are new on it. */
export interface GoingOut {
  readonly renewed: readonly Part[];
  /** Acts of putting the parts back on that apply. */
  readonly refit: readonly RefitAct[];
  /** What to tell the customer. */
  readonly advice: readonly Advice[];
  readonly proof: Proof;
}

/** What is known of the saw that goes out. */
interface Judged {
  readonly checks: readonly Check[];
  readonly fit: readonly FitJudgement[];
  readonly loop: LoopAssessment;
  readonly bar: BarAssessment;
  readonly chain: ChainAssessment;
}

/** How the edge that goes down now leans as the bar stands; null where rails were dressed and not measured since. */
const leanAsItGoes = (sheet: BenchSheet, bar: BarAssessment): LeanBelief | null =>
  sheet.bar?.reworkDone?.includes('dress-rails') && !bar.measuredAgain
    ? null
    : leanBelief(sheet, bar.standing, bar.setting, edgeDown(sheet));

/** Works out how a saw goes out with these parts renewed. */
export function goingOut(
  sheet: BenchSheet,
  { checks, fit, loop, bar, chain }: Judged,
  renewed: readonly Part[],
  schools: Schools,
): GoingOut {
  const told = toldOf(sheet, { checks, fit, loop, bar }, driftBelief({ leanDrift: leanAsItGoes(sheet, bar) }, chain));
  return {
    renewed,
    refit: refitList({ sheet, renewed }),
    advice: adviceFor({ sheet, bar, checks, renewed, schools }),
    proof: judgeProof(told, bar, renewed, schools),
  };
}
