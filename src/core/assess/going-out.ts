import { adviceFor, type Advice } from '../advice';
import type { BarAssessment } from '../bar/checks';
import type { ChainAssessment } from '../chain/checks';
import type { FitJudgement } from '../fit';
import type { Check } from '../judge';
import type { LoopAssessment } from '../loop/assessed';
import { judgeProof, type Proof } from '../proof';
import type { Part } from '../reading';
import { refitList, type RefitAct } from '../refit';
import type { Schools } from '../schools';
import type { BenchSheet } from '../sheet';
import { driftBelief } from '../symptom';

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

/** Works out how a saw goes out with these parts renewed. */
export function goingOut(
  sheet: BenchSheet,
  { checks, fit, loop, bar, chain }: Judged,
  renewed: readonly Part[],
  schools: Schools,
): GoingOut {
  const told = {
    sheet,
    checks,
    fit,
    tension: loop.tension,
    pattern: bar.wearPattern,
    wearPlace: bar.wearPlace,
    drift: driftBelief(bar, chain),
  };
  return {
    renewed,
    refit: refitList({ sheet, renewed }),
    advice: adviceFor({ sheet, bar, checks, renewed, schools }),
    proof: judgeProof(told, bar, renewed, schools),
  };
}
