import { SURE } from '../quantity';
import type { Candidate, Identified, IdentityReason } from './reasons';

/** One piece of evidence: how well each candidate explains it, the best candidate at 1. */
export interface Evidence<T extends string | number> {
  readonly reason: IdentityReason;
  readonly weightOf: (candidate: T) => number;
}

/** Below this share of the best explanation of either, two pieces of evidence contradict each other. */
export const CONTRADICTION = 0.02;

/** Candidates lighter than this are not listed. */
export const LISTED_WEIGHT = 0.001;

/** Chance that a stamp, a template or a learned mark is read wrongly or speaks of another part (shop's figure). */
export const MARK_ERROR = 0.01;

/** Scales likelihoods so that the best candidate has 1; all zero stays zero. Each is computed once. */
export function scaled<T extends string | number>(
  candidates: readonly T[],
  likelihood: (candidate: T) => number,
): (candidate: T) => number {
  const values = new Map(candidates.map((candidate) => [candidate, likelihood(candidate)]));
  const best = Math.max(...values.values(), 0);
  return (candidate) => (best === 0 ? 0 : (values.get(candidate) ?? 0) / best);
}

/** A mark that names one or several candidates: the others keep the chance of a misreading. */
export function markEvidence<T extends string | number>(named: readonly T[], reason: IdentityReason): Evidence<T> {
  return { reason, weightOf: (candidate) => (named.includes(candidate) ? 1 : MARK_ERROR) };
}

/** The first two pieces of evidence that no candidate explains together, or null. */
export function contradiction<T extends string | number>(
  candidates: readonly T[],
  evidence: readonly Evidence<T>[],
  mayContradict: (a: Evidence<T>, b: Evidence<T>) => boolean = () => true,
): IdentityReason | null {
  for (const [i, first] of evidence.entries()) {
    for (const second of evidence.slice(i + 1)) {
      const together = Math.max(
        ...candidates.map((candidate) => first.weightOf(candidate) * second.weightOf(candidate)),
      );
      if (together < CONTRADICTION && mayContradict(first, second))
        return { code: 'disagree', first: first.reason, second: second.reason };
    }
  }
  return null;
}

/** Normalises weights, heaviest first; ties keep the order of the candidates. */
export function ranked<T>(weights: readonly Candidate<T>[]): readonly Candidate<T>[] {
  const total = weights.reduce((sum, { weight }) => sum + weight, 0);
  if (total === 0) return [];
  return weights
    .map(({ value, weight }) => ({ value, weight: weight / total }))
    .filter(({ weight }) => weight >= LISTED_WEIGHT)
    .sort((a, b) => b.weight - a.weight);
}

/** Turns ranked candidates and reasons into a status: conflict first, then settled at {@link SURE}, else open. */
export function concluded<T>(
  candidates: readonly Candidate<T>[],
  reasons: readonly IdentityReason[],
  clash: IdentityReason | null,
  maySettle = true,
): Identified<T> {
  if (clash) return { status: 'conflict', value: null, candidates, why: [clash, ...reasons], settledBy: null };
  const top = candidates[0];
  if (top && top.weight >= SURE && maySettle)
    return { status: 'settled', value: top.value, candidates, why: reasons, settledBy: null };
  return {
    status: 'open',
    value: null,
    candidates,
    why: reasons.length > 0 ? reasons : [{ code: 'nothing-known' }],
    settledBy: null,
  };
}
