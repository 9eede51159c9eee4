import type { BarAssessment } from '../bar/checks';
import { PROOF_CHECKS, type Check } from '../judge';
import type { Part, Step } from '../reading';
import { isWholeSaw } from '../refit';
import type { Schools } from '../schools';
import { beginOf, readingAt, type Askable } from '../sheet';
import { diagnosisOf, partOfCause, type Cause, type Symptom, type Told } from '../symptom';
import { asItGoesOut } from './as-it-goes-out';
import { measuredCut } from './checks';
import { expectedLean, predictedDrift, signed, type ExpectedLean } from './predicted';

/** A proof that failed: as a symptom, with the cause that explains it best, and the step to go back to. */
export interface FailedProof {
  readonly check: Check['id'];
  readonly symptom: Symptom;
  readonly cause: Cause;
  readonly share: number;
  /** Share of nothing that was found explaining it; above {@link share} that leads. */
  readonly unexplainedShare: number;
  readonly step: Step;
  /** The reading that tells it from the next one; null where the cause is as good as found. */
  readonly measure: Askable | null;
}

/** How the proof of a saw stands. */
export interface Proof {
  readonly state: 'not-needed' | 'not-proved' | 'passed' | 'failed';
  /** What is still to be looked at. */
  readonly missing: readonly ('proof.oil' | 'proof.cut' | 'proof.swarf')[];
  /**
   * Drift of the test cut, mm, to the right above 0: as foreseen by the model without a factor, and as measured; null
   * where either is not known.
   */
  readonly cut: { readonly depth: number; readonly predicted: number | null; readonly measured: number } | null;
  /** What the bar lets expect; null where that is not known, or the bar is new. */
  readonly expected: ExpectedLean | null;
  /** Failures that are like a complaint. A chain that turns at idle is like none: its check alone tells of it. */
  readonly failed: readonly FailedProof[];
}

/** Checks whose failure is like a complaint, and is explained as one. */
const EXPLAINED: readonly Check['id'][] = PROOF_CHECKS.filter((id) => id !== 'proof.idle');

/** The step in which a cause is mended where no reading is asked for. */
const STEP_OF_PART = { bar: 'bar', nose: 'bar', chain: 'chain', driveSprocket: 'sprocket' } as const;

/** Causes that are mended by putting it on anew. */
const SET_ANEW: readonly Cause[] = ['chain-slack', 'tension-tight', 'adjuster-at-end'];

function symptomOf({ id }: Check, side: 'left' | 'right' | 'none'): Symptom {
  if (id === 'proof.oil') return 'will-not-oil';
  if (id === 'proof.swarf') return 'fine-dust';
  return side === 'left' ? 'cuts-curved-left' : 'cuts-curved-right';
}

/** The cause that explains a failure best, by the ranking of causes, and where to go back to. */
function explained(check: Check, told: Told, side: 'left' | 'right' | 'none', schools: Schools): FailedProof {
  const symptom = symptomOf(check, side);
  const diagnosis = diagnosisOf(symptom, told, schools.curvedCuts);
  const { unexplainedShare } = diagnosis;
  const { cause, share } = diagnosis.causes[0]!;
  const measure = diagnosis.next?.measure ?? null;
  const own: Step = SET_ANEW.includes(cause) ? 'refit' : STEP_OF_PART[partOfCause(cause)];
  const step = measure === null ? own : (readingAt(beginOf(measure))?.told.step ?? own);
  return { check: check.id, symptom, cause, share, unexplainedShare, step, measure };
}

/**
 * How the proof stands: a whole saw whose oil, cut and chips were all looked at is proved; parts that came alone cannot
 * be started.
 */
export function judgeProof(told: Told, bar: BarAssessment, renewed: readonly Part[], schools: Schools): Proof {
  const { sheet } = told;
  const cut = measuredCut(sheet);
  const drift = renewed.includes('chain') ? {} : told.drift;
  const expected = renewed.includes('bar') ? null : expectedLean(sheet, bar, drift);
  const missing = [
    ...(sheet.proof?.oil ? [] : (['proof.oil'] as const)),
    ...(cut ? [] : (['proof.cut'] as const)),
    ...(sheet.proof?.swarf ? [] : (['proof.swarf'] as const)),
  ];
  const against = told.checks.filter(({ id, outcome }) => outcome === 'fail' && EXPLAINED.includes(id));
  const out = against.length > 0 ? asItGoesOut(told, renewed) : told;
  const failed = against.map((check) => explained(check, out, cut?.side ?? 'none', schools));
  const unproved = isWholeSaw(sheet) ? 'not-proved' : 'not-needed';
  const turnsAtIdle = sheet.proof?.idle === 'turns';
  const state = turnsAtIdle || failed.length > 0 ? 'failed' : missing.length === 0 ? 'passed' : unproved;
  return {
    state,
    missing,
    cut: cut && {
      depth: cut.depth,
      predicted: expected && predictedDrift(expected, cut.depth),
      measured: signed(cut.drift, cut.side),
    },
    expected,
    failed,
  };
}
