import { flatMap } from '../../flat-map';
import { cutDrift, NOTICED_DEPTH, rawLean, setLean, type Setting } from '..';
import { type Edge } from '../../declared';
import { degrees, estimate, mm, type Degrees } from '../../quantity';
import type { BenchSheet } from '../../sheet';
import type { EdgeAssessment } from './edge';

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** Where the bar's height is not measured, a usual one stands in, mm (common practice, no source). */
const USUAL_BODY_HEIGHT = 60;

/** Height of the bar as it was measured, else a usual one, mm. */
export const bodyHeight = ({ bar }: BenchSheet): number =>
  (bar?.bodyHeight && estimate(bar.bodyHeight)?.value) || USUAL_BODY_HEIGHT;

/** The edge that cut: the one that was down as the saw came; A where nobody noted it. */
export const cuttingEdge = ({ bar }: BenchSheet): Edge => bar?.edgeDown ?? 'A';

/**
 * Mean lean of the links on an edge as the groove lets them stand, degrees, above 0 to the far side; null where depths,
 * widths and tang do not tell it.
 */
export const setLeanOf = ({ figures }: EdgeAssessment): Degrees | null =>
  mean(flatMap(figures, (figure) => figure.setLean ?? [])) as Degrees | null;

/**
 * The side a lean draws the cut to: the stamped side is to the operator's right with edge A down (common practice, no
 * source).
 */
export function drawnTo(lean: number, edgeDown: Edge): 'left' | 'right' {
  const isToFar = lean > 0;
  return isToFar === (edgeDown === 'A') ? 'left' : 'right';
}

/**
 * How an edge leans, and where that draws a cut: degrees above 0 to the far side; mm over {@link NOTICED_DEPTH}, to the
 * right above 0.
 */
export interface LeanBelief {
  readonly edge: Edge;
  readonly lean: Degrees;
  readonly mean: number;
  readonly u: number;
}

/**
 * Where neither is measured: a bar's thickness, its groove, and how far a link rocks in a used one (common practice, no
 * source).
 */
const USUAL = { thickness: 4.5, groove: 1.4, rock: degrees((2 * Math.PI) / 180) } as const;
/** What the model of the drift itself is not sure of, as a share (shop's figure). */
const MODEL_DOUBT = 0.3;

/**
 * How the cutting edge is believed to lean, by depths and level tests together; the other one stands in where nothing
 * tells of it. Null where nothing tells of either.
 * @param cutting the edge that is down in the cut
 */
export function leanBelief(
  sheet: BenchSheet,
  edges: Readonly<Record<Edge, EdgeAssessment>>,
  { barThickness, newGroove }: Setting,
  cutting: Edge,
): LeanBelief | null {
  const other = cutting === 'A' ? 'B' : 'A';
  const edge = edges[cutting].belief ? cutting : other;
  const { belief, figures } = edges[edge];
  if (!belief) return null;
  const [thickness, groove] = [mm(barThickness ?? USUAL.thickness), mm(newGroove ?? USUAL.groove)];
  const rock = degreesOf(mean(flatMap(figures, (figure) => figure.rock ?? []))) ?? USUAL.rock;
  const leanAt = (step: number): Degrees => setLean(rawLean(step, thickness, groove), rock);
  const { value, u } = belief.meanStep;
  const lean = leanAt(value);
  const height = bodyHeight(sheet);
  const drift = (of: Degrees): number =>
    (drawnTo(1, cutting) === 'right' ? 1 : -1) * cutDrift(NOTICED_DEPTH, of, height);
  const mid = drift(lean);
  const half = Math.abs(drift(leanAt(value + u)) - drift(leanAt(value - u))) / 2;
  return { edge, lean, mean: mid, u: Math.hypot(half, MODEL_DOUBT * mid) };
}

const degreesOf = (value: number | null): Degrees | null => value as Degrees | null;
