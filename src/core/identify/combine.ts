import { SURE } from '../quantity';
import type { Candidate, Identified, IdentityReason } from './reasons';

/** One piece of evidence: how well each candidate explains it, the best candidate at 1. */
export interface Evidence<T extends string | number> {
  readonly reason: IdentityReason;
  readonly weightOf: (candidate: T) => number;
  /** True for a mark that somebody punched or wrote: it may be another part's. */
  readonly mark?: boolean;
  /**
   * True for a width that wears: it narrows an unmarked number and never speaks against a marked one of another
   * property.
   */
  readonly wears?: boolean;
  /**
   * How well each candidate explains it where a mark says the same number: a marked bar is believed before its worn
   * groove.
   */
  readonly besideMark?: (candidate: T) => number;
}

/** Below this share of the best explanation of either, two pieces of evidence contradict each other. */
export const CONTRADICTION = 0.035;

/** Candidates lighter than this are not listed. */
export const LISTED_WEIGHT = 0.001;

/**
 * Chance that a stamp or a learned mark is another part's or misread, and that a build is misjudged beside a known
 * chain (shop's figure, model §12).
 */
export const MARK_ERROR = 0.03;

/** Chance that a template, a cross-check by cutters or by the tensioner's centres is mistaken (shop's figure). */
export const CROSS_CHECK_ERROR = 0.01;

/** How well a mark is explained by a candidate that it does not name, when it may be misread as any of so many. */
export const misread = (error: number, ways = 1): number => error / (1 - error) / ways;

/** Scales likelihoods so that the best candidate has 1; all zero stays zero. Each is computed once. */
export function scaled<T extends string | number>(
  candidates: readonly T[],
  likelihood: (candidate: T) => number,
): (candidate: T) => number {
  const values = new Map(candidates.map((candidate) => [candidate, likelihood(candidate)]));
  const best = Math.max(...values.values(), 0);
  return (candidate) => (best === 0 ? 0 : (values.get(candidate) ?? 0) / best);
}

/**
 * Evidence that names one or several candidates: the others keep the chance of a mistake.
 * @param doubt weight of a candidate that is not named, see {@link misread}
 */
export function naming<T extends string | number>(
  named: readonly T[],
  reason: IdentityReason,
  doubt: number,
  mark = false,
): Evidence<T> {
  return { reason, mark, weightOf: (candidate) => (named.includes(candidate) ? 1 : doubt) };
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
  if (clash)
    return { status: 'conflict', value: null, candidates, why: [clash, ...reasons], settledBy: null, onMark: null };
  const top = candidates[0];
  if (top && top.weight >= SURE && maySettle)
    return { status: 'settled', value: top.value, candidates, why: reasons, settledBy: null, onMark: null };
  return {
    status: 'open',
    value: null,
    candidates,
    why: reasons.length > 0 ? reasons : [{ code: 'nothing-known' }],
    settledBy: null,
    onMark: null,
  };
}
