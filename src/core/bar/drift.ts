import {
  degrees,
  mm,
  originSums,
  studentWithin,
  throughOrigin,
  toRadians,
  type Degrees,
  type Mm,
  type OriginSums,
} from '../quantity';

/**
 * Side drift of a cut at depth D, mm: the heading follows the set lean over one bar height W, so `drift ≈ f·D²·tan
 * θ/(2W)`. Our own model, an estimate; f is the shop's factor.
 * @param depth depth of cut, mm, 0 or more
 * @param lean set lean, degrees; positive leans to the far side
 * @param bodyHeight height of the bar, mm, above zero
 * @example cutDrift(300, 2°, 60) // 26 mm
 */
export function cutDrift(depth: number, lean: Degrees, bodyHeight: number, factor = 1): Mm {
  return mm((factor * depth ** 2 * Math.tan(toRadians(lean))) / (2 * bodyHeight));
}

/** Depth of cut that the limit on drift is told for, mm. */
export const NOTICED_DEPTH = 300;

/**
 * Drift that somebody notices in a cut of another depth: a curve grows with the square of the depth.
 * @param drift limit over {@link NOTICED_DEPTH}, mm
 */
export const noticedDrift = (drift: number, depth: number): Mm => mm(drift * (depth / NOTICED_DEPTH) ** 2);

/** The set lean from which a cut drifts noticeably, by {@link cutDrift} turned round. */
export function noticedLean(bodyHeight: number, drift: number): Degrees {
  return degrees(Math.atan((drift * 2 * bodyHeight) / NOTICED_DEPTH ** 2));
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

/** Fewer test cuts than this say nothing yet: the factor stays 1. */
export const CUTS_NEEDED = 5;

/** The interval that a factor is told with holds the true one so often. */
const INTERVAL = 0.95;

/** The shop's factor with its spread (standard uncertainty) and its interval; null while the factor is not fitted. */
export interface DriftFactor {
  readonly factor: number;
  readonly spread: number | null;
  readonly interval: { readonly low: number; readonly high: number } | null;
  readonly cuts: number;
}

/**
 * Foreseen drift at which what a log leaves unread (about 1 mm) and what the model leaves over (about a third) scatter
 * alike, mm.
 */
export const EVEN_SCATTER = 3;

/** What a test cut weighs: its scatter grows with the drift, so a long curve must not be trusted like a short one. */
export const cutWeight = (foreseen: number): number => 1 / (1 + (foreseen / EVEN_SCATTER) ** 2);

/**
 * The weighed sums of test cuts, as {@link driftFactor} reads them.
 * @param cuts x what the model foresaw without a factor, y what was measured, mm, to the right above 0
 */
export const cutSums = (cuts: readonly { readonly x: number; readonly y: number }[]): OriginSums =>
  originSums(
    cuts.map(({ x, y }) => {
      const root = Math.sqrt(cutWeight(x));
      return { x: x * root, y: y * root };
    }),
  );

/**
 * The shop's factor, fitted through the origin over its test cuts; 1, and no interval, below {@link CUTS_NEEDED} or
 * where none was foreseen to drift.
 * @param cuts their sums by {@link cutSums}
 */
export function driftFactor(cuts: OriginSums): DriftFactor {
  const line = throughOrigin(cuts);
  const u = line?.u ?? null;
  if (cuts.n < CUTS_NEEDED || !line || u === null) return { factor: 1, spread: null, interval: null, cuts: cuts.n };
  const half = studentWithin(INTERVAL, cuts.n - 1) * u;
  return {
    factor: line.slope,
    spread: u,
    interval: { low: line.slope - half, high: line.slope + half },
    cuts: cuts.n,
  };
}
