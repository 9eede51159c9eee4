import { cutDrift, type Edge } from '../bar';
import { bodyHeight, drawnTo, setLeanOf, type BarAssessment } from '../bar/checks';
import type { Degrees } from '../quantity';
import type { BenchSheet } from '../sheet';

/** What the bar as it stands lets expect of a cut: the lean of the edge that is down, and the side it draws to. */
export interface ExpectedLean {
  readonly lean: Degrees;
  readonly side: 'left' | 'right';
  readonly bodyHeight: number;
}

/** The edge that cuts now: the one that was put down, else the other one than came, else A. */
export function edgeDown({ bar }: BenchSheet): Edge {
  if (bar?.edgeDownNow) return bar.edgeDownNow;
  return bar?.edgeDown === 'A' ? 'B' : 'A';
}

/** What the bar lets expect as it goes back; null where the lean of the edge that is down is not known: its depths, its groove and the tang tell it. */
export function expectedLean(sheet: BenchSheet, { standing }: BarAssessment): ExpectedLean | null {
  const edge = edgeDown(sheet);
  const lean = setLeanOf(standing[edge]);
  if (lean === null) return null;
  return { lean: Math.abs(lean) as Degrees, side: drawnTo(lean, edge), bodyHeight: bodyHeight(sheet) };
}

/** To the right above 0, to the left below, mm. */
export const signed = (drift: number, side: 'left' | 'right' | 'none'): number =>
  side === 'left' ? -drift : side === 'right' ? drift : 0;

/**
 * Drift that is foreseen at a depth of cut, mm, to the right above 0.
 * @param factor the shop's; 1 while it is not fitted
 */
export const predictedDrift = ({ lean, side, bodyHeight: height }: ExpectedLean, depth: number, factor = 1): number =>
  signed(cutDrift(depth, lean, height, factor), side);
