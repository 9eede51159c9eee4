import { flatMap } from '../flat-map';
import type { EdgeBelief } from '../groove';
import type { Edge } from '../declared';

/** Where an edge has lost its depth, as a reading of how the saw is used. */
export type WearPlace =
  | { readonly code: 'not-measured' }
  | { readonly code: 'even' }
  /** Toward the nose: where people cut. */
  | { readonly code: 'toward-nose'; readonly edge: Edge; readonly at: number; readonly lost: number }
  /** Right at the nose: limbing with the tip. */
  | { readonly code: 'at-nose'; readonly edge: Edge; readonly at: number; readonly lost: number }
  /** At the tail: a slack chain hammers there. */
  | { readonly code: 'at-tail'; readonly edge: Edge; readonly at: number; readonly lost: number }
  /** One spot: somebody forces a blunt chain at the same place. */
  | { readonly code: 'one-spot'; readonly edge: Edge; readonly at: number; readonly lost: number };

/** Less than this between deepest and shallowest says nothing, mm (common practice, no source). */
export const EVEN_WITHIN = 0.25;
/** A spot is lower than both its neighbours by this much, mm (common practice, no source). */
export const SPOT_BELOW = 0.3;
/** Shares of the measured length that count as the tail and the nose. */
const TAIL_SHARE = 0.2;
const NOSE_SHARE = 0.9;

interface Depth {
  readonly at: number;
  readonly depth: number;
}

/**
 * The place of least depth on an edge, by what is believed at its stations, and what it tells; one station or none
 * tells nothing.
 */
export function wearPlace(edge: Edge, belief: EdgeBelief | null): WearPlace {
  const depths = flatMap(belief?.stations ?? [], (place): Depth[] =>
    place ? [{ at: place.at, depth: Math.min(place.near.value, place.far.value) }] : [],
  ).sort((a, b) => a.at - b.at);
  if (depths.length < 3) return { code: 'not-measured' };
  const lowest = depths.reduce((least, next) => (next.depth < least.depth ? next : least));
  const lost = Math.max(...depths.map(({ depth }) => depth)) - lowest.depth;
  if (lost < EVEN_WITHIN) return { code: 'even' };
  const found = { edge, at: lowest.at, lost };
  if (isSpot(depths, lowest)) return { code: 'one-spot', ...found };
  const [first, last] = [depths[0]!.at, depths.at(-1)!.at];
  const share = (lowest.at - first) / (last - first);
  if (share <= TAIL_SHARE) return { code: 'at-tail', ...found };
  return { code: share >= NOSE_SHARE ? 'at-nose' : 'toward-nose', ...found };
}

function isSpot(depths: readonly Depth[], lowest: Depth): boolean {
  const i = depths.indexOf(lowest);
  const [before, after] = [depths[i - 1], depths[i + 1]];
  return (
    before !== undefined &&
    after !== undefined &&
    before.depth - lowest.depth >= SPOT_BELOW &&
    after.depth - lowest.depth >= SPOT_BELOW
  );
}
