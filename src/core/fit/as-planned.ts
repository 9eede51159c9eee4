import type { Part } from '../reading';
import { beginOf, isWithin, type Askable } from '../sheet';
import type { FitJudgement, FitRule } from './rules';

/**
 * Rules of the set by the parts that they speak of: where one of these is replaced, the rule is asked of the new one.
 */
export const SPEAKS_OF: Readonly<Partial<Record<FitRule, readonly Part[]>>> = {
  'chain-pitch-is-sprocket-pitch': ['chain', 'driveSprocket'],
  'chain-pitch-is-bar-pitch': ['chain', 'bar'],
  'chain-pitch-is-nose-pitch': ['chain', 'nose'],
  'chain-gauge-is-bar-gauge': ['chain', 'bar'],
  'chain-links-are-bar-links': ['chain', 'bar'],
  'family-and-gauge-meet': ['chain'],
  'sequence-is-counted': ['chain'],
  'kickback-not-stepped-up': ['chain'],
  'sprocket-is-saws': ['driveSprocket'],
  'bar-mount-is-saw-mount': ['bar'],
  'oil-hole-is-saw-oil-hole': ['bar'],
};

/** What speaks of a part's own state, and of nothing else once the part is new. */
const STATE_OF: Readonly<Partial<Record<FitRule, readonly Part[]>>> = {
  'sprocket-takes-new-chain': ['driveSprocket'],
  'nose-is-known': ['bar', 'nose'],
};

/** What of a list of parts is not new. */
const staying = (parts: readonly Part[], renewed: readonly Part[]): readonly Part[] =>
  parts.filter((part) => !renewed.includes(part));

/** What of the readings that a rule lacks speaks of no part that is renewed. */
const lackedOfWhatStays = (missing: readonly Askable[], renewed: readonly Part[]): readonly Askable[] =>
  missing.filter((asked) => !renewed.some((part) => part !== 'nose' && isWithin(beginOf(asked), part)));

/** One rule, as the set stands once the parts of a signed plan are on it. */
function planned(judgement: FitJudgement, renewed: readonly Part[]): FitJudgement {
  const { rule, holds, reason } = judgement;
  if (holds === true) return judgement;
  if (reason.code === 'parts-condemned' || reason.code === 'parts-undecided') {
    const parts = staying(reason.parts, renewed);
    if (parts.length > 0) return { ...judgement, reason: { ...reason, parts } };
    return { rule, holds: true, reason: { code: 'by-plan', parts: reason.parts } };
  }
  const isNew = (part: Part) => renewed.includes(part);
  const byPlan = (parts: readonly Part[]): FitJudgement => ({ rule, holds: true, reason: { code: 'by-plan', parts } });
  const ofState = (STATE_OF[rule] ?? []).filter(isNew);
  if (ofState.length > 0) return byPlan(ofState);
  const parts = (SPEAKS_OF[rule] ?? []).filter(isNew);
  if (parts.length === 0) return judgement;
  // A bar is chosen whose oil hole does not differ; one that does not name it is not known to agree.
  if (rule === 'oil-hole-is-saw-oil-hole')
    return { rule, holds: null, reason: { code: 'not-known', missing: ['bar.oilHole'] } };
  if (holds === false) return byPlan(parts);
  // Where nobody knows the class a plan takes low-kickback chain alone, which suits everybody.
  if (reason.code === 'kickback-unknown') return byPlan(parts);
  // What is not known of a part that stays, or of who runs the saw, no new part makes known.
  if (reason.code !== 'not-known') return judgement;
  const missing = lackedOfWhatStays(reason.missing, renewed);
  return missing.length === 0 ? byPlan(parts) : { ...judgement, reason: { ...reason, missing } };
}

/**
 * The rules as they stand for the saw that a signed plan makes of the one that came: a plan takes only parts that agree
 * with what stays, so that nothing it renews is broken any more. What nobody knows stays not known: a plan asks nobody who
 * runs the saw.
 * @param fit the rules as the parts came
 */
export const asPlanned = (fit: readonly FitJudgement[], renewed: readonly Part[]): readonly FitJudgement[] =>
  fit.map((judgement) => planned(judgement, renewed));
