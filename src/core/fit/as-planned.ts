import type { Part } from '../reading';
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
  'kickback-not-stepped-up': ['chain'],
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

/** One rule, as the set stands once the parts of a signed plan are on it. */
function planned(judgement: FitJudgement, renewed: readonly Part[]): FitJudgement {
  const { rule, holds, reason } = judgement;
  if (holds === true) return judgement;
  if (reason.code === 'parts-condemned' || reason.code === 'parts-undecided') {
    const parts = staying(reason.parts, renewed);
    if (parts.length > 0) return { ...judgement, reason: { ...reason, parts } };
    return { rule, holds: true, reason: { code: 'by-plan', parts: reason.parts } };
  }
  const parts = ([...(SPEAKS_OF[rule] ?? []), ...(STATE_OF[rule] ?? [])] as const).filter((part) =>
    renewed.includes(part),
  );
  return parts.length === 0 ? judgement : { rule, holds: true, reason: { code: 'by-plan', parts } };
}

/**
 * The rules as they stand for the saw that a signed plan makes of the one that came: a plan takes only parts that agree
 * with what stays, so that nothing it renews is broken or open any more.
 * @param fit the rules as the parts came
 */
export const asPlanned = (fit: readonly FitJudgement[], renewed: readonly Part[]): readonly FitJudgement[] =>
  fit.map((judgement) => planned(judgement, renewed));
