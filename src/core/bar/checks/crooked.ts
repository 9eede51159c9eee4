import { flatMap } from '../../flat-map';
import { EDGES, noticedLean, type CrookedEvidence, type Edge } from '..';
import { imbalance } from '../../chain';
import type { Limits } from '../../limits';
import { estimate, type Degrees, type Estimate, type LengthReading } from '../../quantity';
import type { Schools } from '../../schools';
import type { BenchSheet } from '../../sheet';
import type { EdgeAssessment } from './edge';

const estimates = (readings: readonly LengthReading[] | undefined): readonly Estimate[] =>
  flatMap(readings ?? [], (reading) => estimate(reading) ?? []);

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** Where the bar's height is not measured, a usual one stands in, mm (common practice, no source). */
const USUAL_BODY_HEIGHT = 60;

/** Height of the bar as it was measured, else a usual one, mm. */
export const bodyHeight = ({ bar }: BenchSheet): number =>
  (bar?.bodyHeight && estimate(bar.bodyHeight)?.value) || USUAL_BODY_HEIGHT;

/** The edge that cut: the one that was down as the saw came; A where nobody noted it. */
export const cuttingEdge = ({ bar }: BenchSheet): Edge => bar?.edgeDown ?? 'A';

/** Mean lean of the links on an edge as the groove lets them stand, degrees, above 0 to the far side; null where depths, widths and tang do not tell it. */
export const setLeanOf = ({ figures }: EdgeAssessment): Degrees | null =>
  mean(flatMap(figures, (figure) => figure.setLean ?? [])) as Degrees | null;

/** The same, by the rails alone where the groove is not known. */
const leanOf = ({ figures }: EdgeAssessment): Degrees | null =>
  mean(flatMap(figures, (figure) => figure.setLean ?? figure.rawLean ?? [])) as Degrees | null;

/** The side a lean draws the cut to: the stamped side is to the operator's right with edge A down (common practice, no source). */
export function drawnTo(lean: number, edgeDown: Edge): 'left' | 'right' {
  const isToFar = lean > 0;
  return isToFar === (edgeDown === 'A') ? 'left' : 'right';
}

/**
 * What the sheet says of the three causes. The stamped side is to the operator's right with edge A down (common practice, no source); the lean of the other
 * edge stands in where the cutting edge was not measured.
 */
export function crookedEvidence(
  sheet: BenchSheet,
  edges: Readonly<Record<Edge, EdgeAssessment>>,
  limits: Limits,
  playLimit: number,
  schools: Schools,
): CrookedEvidence {
  const edge = cuttingEdge(sheet);
  const plays = flatMap(EDGES, (name) => flatMap(edges[name].figures, ({ play }) => play?.value ?? []));
  const cutters = imbalance({
    left: estimates(sheet.chain?.cuttersLeft),
    right: estimates(sheet.chain?.cuttersRight),
  });
  return {
    lean: leanOf(edges[edge]),
    leanLimit: noticedLean(bodyHeight(sheet), limits['proof.drift'].value),
    play: plays.length === 0 ? null : Math.max(...plays),
    playLimit,
    cutters: cutters?.value ?? null,
    cuttersLimit: limits['chain.uneven'].value,
    cuttersToo: schools.curvedCuts === 'cutters-too',
    nearIsRight: edge === 'A',
  };
}
