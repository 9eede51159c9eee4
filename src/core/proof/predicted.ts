import { cutDrift, driftCurve, NOTICED_DEPTH } from '../bar';
import { type Edge } from '../declared';
import { bodyHeight, drawnTo, setLeanOf, type BarAssessment } from '../bar/checks';
import type { Degrees } from '../quantity';
import type { BenchSheet } from '../sheet';
import type { DriftBelief } from '../symptom';

/** What the bar as it stands lets expect of a cut: the lean of the edge that is down, and the side it draws to. */
export interface ExpectedLean {
  readonly lean: Degrees;
  readonly side: 'left' | 'right';
  readonly bodyHeight: number;
  /** What cutters and depth gauges draw it aside beside that, mm over {@link NOTICED_DEPTH}, to the right above 0. */
  readonly beside: number;
}

/** The edge that cuts now: the one that was put down, else the other one than came, else A. */
export function edgeDown({ bar }: BenchSheet): Edge {
  if (bar?.edgeDownNow) return bar.edgeDownNow;
  return bar?.edgeDown === 'A' ? 'B' : 'A';
}

/**
 * What the bar lets expect as it goes back; null where the lean of the edge that is down is not known: its depths, its
 * groove and the tang tell it.
 */
export function expectedLean(sheet: BenchSheet, { standing }: BarAssessment, drift: DriftBelief): ExpectedLean | null {
  const edge = edgeDown(sheet);
  const lean = setLeanOf(standing[edge]);
  if (lean === null) return null;
  const beside = (drift['cutters-uneven']?.mean ?? 0) + (drift['depth-gauges-uneven']?.mean ?? 0);
  return { lean: Math.abs(lean) as Degrees, side: drawnTo(lean, edge), bodyHeight: bodyHeight(sheet), beside };
}

/** To the right above 0, to the left below, mm. */
export const signed = (drift: number, side: 'left' | 'right' | 'none'): number =>
  side === 'left' ? -drift : side === 'right' ? drift : 0;

/** What is drawn aside beside the lean at a depth: a curve grows with the square of the depth. */
const besideAt = (beside: number, depth: number): number => beside * (depth / NOTICED_DEPTH) ** 2;

/**
 * Drift that is foreseen at a depth of cut, mm, to the right above 0: what the lean of the bar and the cutters come to
 * together.
 * @param factor the shop's; 1 while it is not fitted
 */
export const predictedDrift = (
  { lean, side, bodyHeight: height, beside }: ExpectedLean,
  depth: number,
  factor = 1,
): number => signed(cutDrift(depth, lean, height, factor), side) + factor * besideAt(beside, depth);

/** The foreseen curve as points down the log, and the side it runs to. */
export function predictedCurve(expected: ExpectedLean, depth: number, factor = 1) {
  const { lean, side, bodyHeight: height, beside } = expected;
  const toRight = driftCurve(depth, lean, height, factor).map(({ depth: at, drift }) => ({
    depth: at,
    drift: signed(drift, side) + factor * besideAt(beside, at),
  }));
  const goes: 'left' | 'right' = (toRight.at(-1)?.drift ?? 0) < 0 ? 'left' : 'right';
  return {
    side: goes,
    points: toRight.map(({ depth: at, drift }) => ({ depth: at, drift: goes === 'left' ? -drift : drift })),
  };
}
