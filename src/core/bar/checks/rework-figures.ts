import { flatMap } from '../../flat-map';
import { leastDepth, measuredAgainAt } from '../../groove';
import { EDGES, type Edge } from '../../declared';
import type { BarAssessment } from './bar';
import type { EdgeAssessment } from './edge';

/** The worst of a bar's stations, mm. Null where one of the stations lacks the figure: the worst is not known then. */
export interface WorstFigures {
  readonly depth: number | null;
  /** Without sign: either rail may be the low one. */
  readonly step: number | null;
  readonly play: number | null;
  /** Room under the link; below zero it stands on the floor. */
  readonly room: number | null;
}

/**
 * The worst figures before and after the rework, both of the stations that were measured again, so that like stands
 * beside like.
 */
export function reworkFigures({ edges, standing }: Pick<BarAssessment, 'edges' | 'standing'>): {
  readonly before: WorstFigures;
  readonly after: WorstFigures;
} {
  const measuredIn = (edge: Edge) =>
    flatMap(edges[edge].stations, (station, i) => (measuredAgainAt(station) ? [i] : []));
  const again = { A: measuredIn('A'), B: measuredIn('B') };
  return { before: worstFigures(edges, again), after: worstFigures(standing, again) };
}

function worstFigures(
  edges: Readonly<Record<Edge, EdgeAssessment>>,
  chosen: Readonly<Record<Edge, readonly number[]>>,
): WorstFigures {
  const stations = flatMap(EDGES, (edge) => chosen[edge].map((i) => edges[edge].stations[i]!));
  const figures = flatMap(EDGES, (edge) => chosen[edge].map((i) => edges[edge].figures[i]!));
  return {
    depth: whole(
      stations.map((station) => leastDepth(station)?.value ?? null),
      Math.min,
    ),
    step: whole(
      figures.map(({ step }) => (step ? Math.abs(step.value) : null)),
      Math.max,
    ),
    play: whole(
      figures.map(({ play }) => play?.value ?? null),
      Math.max,
    ),
    room: whole(
      figures.map(({ floorClearance }) => floorClearance?.value ?? null),
      Math.min,
    ),
  };
}

/** The worst of the values, or null where one is missing or there is none. */
function whole(values: readonly (number | null)[], pick: (...all: number[]) => number): number | null {
  const known = values.filter((value) => value !== null);
  return known.length < values.length || known.length === 0 ? null : pick(...known);
}
