import { rowOf, type Cause } from './causes';
import { UNEXPLAINED, type Present } from './presence';

/** A cause once the complaint is known: present, at work in it, and its share of the explanation. */
export interface Standing {
  readonly cause: Cause;
  /** Chance that it is present. */
  readonly present: number;
  /** Chance that it is at work in the complaint. */
  readonly acting: number;
  /** What acts, of all that may act and what nothing found explains. */
  readonly share: number;
  /** Causes present beside it that make it bring the complaint about more often. */
  readonly aggravatedBy: readonly Cause[];
}

/** All causes of a complaint, the heaviest first, and what none of them explains. */
export interface Ranking {
  readonly causes: readonly Standing[];
  /** Chance that nothing found explains it. */
  readonly unexplained: number;
  readonly unexplainedShare: number;
}

/** How far an aggravator closes the gap between a strength and certainty (shop's figure). */
const AGGRAVATES = 0.5;
/** An aggravator more likely present than this is named. */
const NAMED_FROM = 0.5;

/** Strengths as aggravators raise them: each by as much as it is likely to be there. */
export function aggravated(causes: readonly Present[], beside: readonly Present[] = causes) {
  const chance = (cause: Cause) => beside.find((each) => each.cause === cause)?.present ?? 0;
  return causes.map((each) => {
    const by = rowOf(each.cause).aggravatedBy ?? [];
    const none = by.reduce((left, cause) => left * (1 - AGGRAVATES * chance(cause)), 1);
    return {
      ...each,
      strength: 1 - (1 - each.strength) * none,
      aggravatedBy: by.filter((cause) => chance(cause) > NAMED_FROM),
    };
  });
}

/** Shares of a whole, the heaviest first. */
export function ranked(causes: readonly Omit<Standing, 'share'>[], unexplained: number): Ranking {
  const all = causes.reduce((sum, { acting }) => sum + acting, unexplained);
  const shared = causes.map((each) => ({ ...each, share: all > 0 ? each.acting / all : 0 }));
  return {
    causes: shared.sort((a, b) => b.share - a.share),
    unexplained,
    unexplainedShare: all > 0 ? unexplained / all : 1,
  };
}

/**
 * Causes add up: each that is present brings the complaint about with its strength, independent of the others, and
 * something unknown may too (noisy-or: Pearl, Probabilistic Reasoning in Intelligent Systems, 1988, from memory;
 * checked in tests against a plain sum over all worlds). Shares overlap: two found causes are both found.
 * @param lambda chance that the complaint is there although none of them brings it about
 * @example present 0.5 and 0.2, strengths 0.8 and 0.5, λ 0.05: P 0.487; present 0.851 and 0.294; acting 0.821 and
 *   0.205; unexplained 0.103
 */
export function noisyOr(
  given: readonly (Present & { readonly aggravatedBy?: readonly Cause[] })[],
  lambda = UNEXPLAINED,
): Ranking {
  const silent = given.reduce((product, { present, strength }) => product * (1 - strength * present), 1 - lambda);
  const complaint = 1 - silent;
  const causes = given.map(({ cause, present, strength, aggravatedBy = [] }) => {
    const others = silent / (1 - strength * present);
    return {
      cause,
      present: (present * (1 - others * (1 - strength))) / complaint,
      acting: (strength * present) / complaint,
      aggravatedBy,
    };
  });
  return ranked(causes, lambda / complaint);
}
