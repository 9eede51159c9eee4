import { flatMap } from '../flat-map';
import { type Edge, type Station, step } from './station';
import type { EdgeBelief } from './believed';
import type { Turned } from './turns';

/** How often the bar is turned over. */
export type TurnOver = 'never' | 'sometimes' | 'every-chain' | 'every-sharpening';

/** What the side of the low rails tells, as data. `low` names the low rail of each edge. */
export type WearPattern =
  | { readonly code: 'not-measured' }
  | { readonly code: 'level' }
  | { readonly code: 'one-edge'; readonly edge: Edge; readonly low: 'near' | 'far' }
  | { readonly code: 'leaned-on'; readonly low: Readonly<Record<Edge, 'near' | 'far'>> }
  | { readonly code: 'cutters-of-one-side'; readonly low: 'near' | 'far' }
  /** `logged`: how often the shop's log has it turned over, where nobody told so; otherwise null. */
  | { readonly code: 'measure-the-cutters'; readonly opposite: boolean; readonly logged: number | null }
  | { readonly code: 'turning-not-told'; readonly opposite: boolean };

/** A mean step counts as a direction when it stands this many standard uncertainties from level. */
export const DIRECTION_SURE = 2;

/** Mean step of an edge and its standard uncertainty, or null where no station has both rails. */
export function meanStep(stations: readonly Station[]): { value: number; u: number } | null {
  const steps = flatMap(stations, (station) => step(station) ?? []);
  if (steps.length === 0) return null;
  const value = steps.reduce((sum, each) => sum + each.value, 0) / steps.length;
  const u = Math.sqrt(steps.reduce((sum, each) => sum + each.u ** 2, 0)) / steps.length;
  return { value, u };
}

type Direction = 'near' | 'far' | 'level';

/** The low rail of an edge as a whole. */
function direction(mean: { value: number; u: number }): Direction {
  if (Math.abs(mean.value) <= DIRECTION_SURE * mean.u) return 'level';
  return mean.value < 0 ? 'near' : 'far';
}

/**
 * Reads the pattern of wear. Never turned over: low rails on opposite sides of the two edges mean that the saw leans or is leaned on; on the
 * same side, that the cutters of that side pull. Turned over now and then: both causes end up opposite, so the cutters must be measured. A turn
 * that was seen counts before what is told; that none was seen proves nothing, because an owner may turn it back.
 */
export function wearPattern(
  edges: Readonly<Record<Edge, readonly Station[]>>,
  turnOver: TurnOver | undefined,
  turned: Turned = { times: 0, seen: 0 },
): WearPattern {
  const a = meanStep(edges.A);
  const b = meanStep(edges.B);
  if (!a || !b) return { code: 'not-measured' };
  const low = { A: direction(a), B: direction(b) };
  if (low.A === 'level' && low.B === 'level') return { code: 'level' };
  if (low.A === 'level') return { code: 'one-edge', edge: 'B', low: low.B as 'near' | 'far' };
  if (low.B === 'level') return { code: 'one-edge', edge: 'A', low: low.A };
  const opposite = low.A !== low.B;
  if (turnOver !== undefined && turnOver !== 'never') return { code: 'measure-the-cutters', opposite, logged: null };
  if (turned.times > 0) return { code: 'measure-the-cutters', opposite, logged: turned.times };
  if (turnOver === undefined) return { code: 'turning-not-told', opposite };
  return opposite ? { code: 'leaned-on', low: { A: low.A, B: low.B } } : { code: 'cutters-of-one-side', low: low.A };
}

/** The weakest depth of an edge as it is believed to be, or null where none was measured. */
export function weakestDepth(belief: EdgeBelief | null): number | null {
  if (!belief || belief.places.length === 0) return null;
  return Math.min(...flatMap(belief.places, ({ near, far }) => [near.value, far.value]));
}

/** Edges whose weakest places differ by less than this are alike, mm. */
const ALIKE = 0.005;

/** The edge to put down next: the one with more depth left at its weakest place. Null when either is unmeasured or both are alike. */
export function edgeDownNext(beliefs: Readonly<Record<Edge, EdgeBelief | null>>): Edge | null {
  const [a, b] = [weakestDepth(beliefs.A), weakestDepth(beliefs.B)];
  if (a === null || b === null || Math.abs(a - b) < ALIKE) return null;
  return a > b ? 'A' : 'B';
}
