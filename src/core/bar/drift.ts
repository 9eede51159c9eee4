import { degrees, mm, toRadians, type Degrees, type Mm } from '../quantity';

/**
 * Side drift of a cut at depth D, mm: the heading follows the set lean over one bar height W, so `drift ≈ f·D²·tan θ/(2W)`. Our own model,
 * an estimate; f is the shop's factor.
 * @param depth depth of cut, mm, 0 or more
 * @param lean set lean, degrees; positive leans to the far side
 * @param bodyHeight height of the bar, mm, above zero
 * @example cutDrift(300, 2°, 60) // 26 mm
 */
export function cutDrift(depth: number, lean: Degrees, bodyHeight: number, factor = 1): Mm {
  return mm((factor * depth ** 2 * Math.tan(toRadians(lean))) / (2 * bodyHeight));
}

/** A drift that somebody notices: 5 mm over 300 mm of depth (the shop's figure). */
export const NOTICED = { drift: 5, depth: 300 } as const;

/** The set lean from which a cut drifts noticeably, by {@link cutDrift} turned round. */
export function noticedLean(bodyHeight: number): Degrees {
  return degrees(Math.atan((NOTICED.drift * 2 * bodyHeight) / NOTICED.depth ** 2));
}

/** The predicted curve of a cut as points down the log. */
export function driftCurve(
  depth: number,
  lean: Degrees,
  bodyHeight: number,
  factor = 1,
  points = 24,
): readonly { readonly depth: number; readonly drift: Mm }[] {
  return Array.from({ length: points + 1 }, (_, i) => {
    const at = (depth * i) / points;
    return { depth: at, drift: cutDrift(at, lean, bodyHeight, factor) };
  });
}

/** A logged test cut: what the model predicted without a factor, and what was measured, mm. */
export interface TestCut {
  readonly predicted: number;
  readonly measured: number;
}

/** Fewer test cuts than this say nothing yet: the factor stays 1. */
export const CUTS_NEEDED = 5;

/** The shop's factor with its spread (standard uncertainty); spread null while the factor is not fitted. */
export interface DriftFactor {
  readonly factor: number;
  readonly spread: number | null;
  readonly cuts: number;
}

/**
 * Least squares through the origin: `f = Σpm/Σp²`, its standard uncertainty from the residuals with n − 1 degrees of freedom
 * (any textbook on regression through the origin).
 */
export function driftFactor(cuts: readonly TestCut[]): DriftFactor {
  const weight = cuts.reduce((sum, { predicted }) => sum + predicted ** 2, 0);
  if (cuts.length < CUTS_NEEDED || weight === 0) return { factor: 1, spread: null, cuts: cuts.length };
  const factor = cuts.reduce((sum, { predicted, measured }) => sum + predicted * measured, 0) / weight;
  const residual = cuts.reduce((sum, { predicted, measured }) => sum + (measured - factor * predicted) ** 2, 0);
  return { factor, spread: Math.sqrt(residual / (cuts.length - 1) / weight), cuts: cuts.length };
}
