import { flatMap } from '../../flat-map';
import { EDGES, type Edge } from '..';
import type { Limits } from '../../limits';
import type { BenchSheet } from '../../sheet';
import type { BlueingCause } from '../../judge';
import type { EdgeAssessment } from './edge';

/**
 * Likely causes of blueing from what else was found; where nothing was, a chain run too tight or blunt is left. Empty where there is none.
 */
export function blueingCauses(
  { bar }: BenchSheet,
  edges: Readonly<Record<Edge, EdgeAssessment>>,
  limits: Limits,
): readonly BlueingCause[] {
  const { blueing, oilHoles, groove, grooveShape, noseTurns, nosePinch } = bar?.checks ?? {};
  if (blueing === undefined || blueing === 'no') return [];
  const room = limits['bar.floor-clearance'].value;
  const low = EDGES.some((edge) =>
    edges[edge].figures.some(({ floorClearance }) => floorClearance !== null && floorClearance.value < room),
  );
  const tight = EDGES.some((edge) => edges[edge].figures.some(({ play }) => play !== null && play.value <= 0));
  const causes: readonly (readonly [BlueingCause, boolean])[] = [
    ['no-oil', oilHoles === 'blocked'],
    ['groove-packed', groove === 'packed'],
    ['link-on-floor', low],
    ['pinched', grooveShape === 'pinched' || tight],
    ['nose-stiff', noseTurns === 'rough' || noseTurns === 'seized' || nosePinch === 'yes'],
  ];
  const found = flatMap(causes, ([cause, there]) => (there ? [cause] : []));
  return found.length > 0 ? found : ['ran-tight-or-blunt'];
}
