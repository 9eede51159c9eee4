import { EDGES, rawLean, type CrookedEvidence, type Edge, type Setting } from '../bar';
import { imbalance } from '../chain';
import type { Limits } from '../families';
import { estimate, mm, type Degrees, type Estimate, type LengthReading } from '../quantity';
import type { BenchSheet } from '../sheet';
import type { EdgeAssessment } from './edge';

const estimates = (readings: readonly LengthReading[] | undefined): readonly Estimate[] =>
  (readings ?? []).flatMap((reading) => estimate(reading) ?? []);

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** Without the bar's thickness a usual one stands in for the angle of the step limit, mm. */
const USUAL_THICKNESS = mm(4.5);
const USUAL_GROOVE = mm(1.3);

/** The edge that cut: the one that was down as the saw came; A where nobody noted it. */
export const cuttingEdge = ({ bar }: BenchSheet): Edge => bar?.edgeDown ?? 'A';

/**
 * What the sheet says of the three causes. The stamped side is to the operator's right with edge A down (common practice, no source); the lean of the other
 * edge stands in where the cutting edge was not measured.
 */
export function crookedEvidence(
  sheet: BenchSheet,
  edges: Readonly<Record<Edge, EdgeAssessment>>,
  setting: Setting,
  limits: Limits,
  playLimit: number,
): CrookedEvidence {
  const edge = cuttingEdge(sheet);
  const leans = edges[edge].figures.flatMap((figure) => figure.setLean ?? figure.rawLean ?? []);
  const plays = EDGES.flatMap((name) => edges[name].figures.flatMap(({ play }) => play?.value ?? []));
  const cutters = imbalance({
    left: estimates(sheet.chain?.cuttersLeft),
    right: estimates(sheet.chain?.cuttersRight),
  });
  return {
    lean: mean(leans) as Degrees | null,
    leanLimit: rawLean(
      limits['bar.step'].value,
      setting.barThickness ?? USUAL_THICKNESS,
      setting.newGroove ?? USUAL_GROOVE,
    ),
    play: plays.length === 0 ? null : Math.max(...plays),
    playLimit,
    cutters: cutters?.value ?? null,
    cuttersLimit: limits['chain.uneven'].value,
    nearIsRight: edge === 'A',
  };
}
