import { flatMap } from '../flat-map';
/** How sure somebody said to be, and whether they were right. */
export interface Statement {
  /** Stated probability, 0…1. */
  readonly sure: number;
  readonly isRight: boolean;
}

/**
 * Brier score: the mean of (stated probability − outcome)², outcome 0 or 1. 0 is best; whoever always says one half has
 * 0.25. Null where nothing was said.
 * Source: G. W. Brier, Verification of forecasts expressed in terms of probability, Monthly Weather Review 78 (1950),
 * in its form for two outcomes (half of Brier's own sum over both).
 * @example brierScore([{ sure: 0.9, isRight: true }, { sure: 0.8, isRight: false }, { sure: 0.3, isRight: false }]) // 0.2467
 */
export function brierScore(statements: readonly Statement[]): number | null {
  if (statements.length === 0) return null;
  const sum = statements.reduce((all, { sure, isRight }) => all + (sure - Number(isRight)) ** 2, 0);
  return sum / statements.length;
}

/** Statements that were about as sure, and how often they were right. */
export interface ReliabilityPoint {
  /** Mean of what was stated. */
  readonly stated: number;
  readonly right: number;
  readonly of: number;
  /** In what lies the true share, nineteen times in twenty. */
  readonly from: number;
  readonly until: number;
}

/** Two-sided normal quantile of 95 %. */
const Z = 1.959964;

/**
 * Interval of a share, so chosen that it holds the true one about nineteen times in twenty, even of few and at the ends.
 * Source: E. B. Wilson, Probable inference, the law of succession, and statistical inference, Journal of the American
 * Statistical Association 22 (1927).
 * @param right how many of `of`, which is above nought
 */
export function shareInterval(right: number, of: number): { readonly from: number; readonly until: number } {
  const share = right / of;
  const middle = share + Z ** 2 / (2 * of);
  const half = Z * Math.sqrt((share * (1 - share)) / of + Z ** 2 / (4 * of ** 2));
  const all = 1 + Z ** 2 / of;
  return { from: Math.max(0, (middle - half) / all), until: Math.min(1, (middle + half) / all) };
}

/** Steps in which people say how sure they are. */
const STEPS = 10;

/** The reliability curve: of statements of each tenth how often they were right; tenths in which nobody spoke are left out. */
export function reliability(statements: readonly Statement[]): readonly ReliabilityPoint[] {
  const tenthOf = ({ sure }: Statement): number => Math.min(STEPS - 1, Math.floor(sure * STEPS));
  const tenths = Array.from({ length: STEPS }, (_, i) => statements.filter((each) => tenthOf(each) === i));
  return flatMap(tenths, (those) => {
    if (those.length === 0) return [];
    const right = those.filter(({ isRight }) => isRight).length;
    const stated = those.reduce((sum, { sure }) => sum + sure, 0) / those.length;
    return [{ stated, right, of: those.length, ...shareInterval(right, those.length) }];
  });
}
