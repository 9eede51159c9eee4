import { degrees, mm, toRadians, type Degrees, type Mm } from '../quantity';

/** Groove width at the mouth, and near the floor at a known depth below the rails. */
export interface GrooveShape {
  readonly mouth: Mm;
  readonly deep: Mm | null;
  /** Depth below the rails at which `deep` was taken. */
  readonly deepAt: Mm | null;
}

/**
 * How far below the rails the link's tang reaches: its own length, or the whole groove where it stands on the floor.
 */
export function engagement(tang: Mm, depth: Mm): Mm {
  return mm(Math.min(tang, depth));
}

/**
 * Groove width at a depth below the rails: a straight line from the mouth to the reading near the floor, and **parallel
 * below it**: a flare ends, and nothing is drawn on where nobody measured. The mouth alone means a parallel groove; so
 * does a reading near the floor that nobody placed.
 */
export function widthAt({ mouth, deep, deepAt }: GrooveShape, depth: number): Mm {
  if (deep === null || deepAt === null || deepAt <= 0) return mouth;
  return depth >= deepAt ? deep : mm(mouth + ((deep - mouth) * depth) / deepAt);
}

/**
 * The share of the width near the floor in the one width that stands for a flared groove: `w = (w₀ + w₁′)/2`, w₁′ the
 * width at the depth of engagement (model §5, §12). A reading near the floor that nobody placed counts as taken where
 * the link ends.
 * @param engaged how deep the link stands; null where its tang is not known, and then it reaches below the reading near
 *   the floor
 */
export function deepShare({ deep, deepAt }: Pick<GrooveShape, 'deep' | 'deepAt'>, engaged: number | null): number {
  if (deep === null) return 0;
  if (deepAt === null || deepAt <= 0 || engaged === null || engaged >= deepAt) return 1 / 2;
  return engaged / deepAt / 2;
}

/** The one width that stands for a flared groove where a link of given engagement rocks in it, by {@link deepShare}. */
export function rockingWidth(groove: GrooveShape, engaged: Mm | null): Mm {
  const share = deepShare(groove, engaged);
  return mm(groove.mouth * (1 - share) + (groove.deep ?? groove.mouth) * share);
}

/**
 * How far a link can tilt in its groove before both corners touch: `g·cosθ + e·sinθ = w`, in closed form
 * `θ = atan2(e, g) − acos(w/√(e²+g²))`. A groove no wider than the link gives 0: it pinches. A groove wider than the
 * link's diagonal never stops it: the tilt is then counted to where the diagonal lies level.
 *
 * @param width groove width, mm
 * @param thickness link thickness g, mm, above zero
 * @param engaged how deep the link stands in the slot e, mm, above zero
 * @example rock(mm(1.5), mm(1.27), mm(5)) // 2.652°
 */
export function rock(width: Mm, thickness: Mm, engaged: Mm): Degrees {
  if (width <= thickness) return degrees(0);
  const diagonal = Math.hypot(engaged, thickness);
  return degrees(Math.atan2(engaged, thickness) - Math.acos(Math.min(1, width / diagonal)));
}

/** True when the groove is no wider than the link. */
export function pinches(width: Mm, thickness: Mm): boolean {
  return width <= thickness;
}

/** Where the cutter tip of a pushed-over link comes to stand against the bar's side. */
export const STRAIGHT_EDGE_OUTCOMES = ['gap-stays', 'gap-closes', 'passes-beyond'] as const;
export type StraightEdgeOutcome = (typeof STRAIGHT_EDGE_OUTCOMES)[number];

/** An eye against the light takes a gap below this for closed, mm (common practice, no source). */
export const GAP_UNSEEN = 0.05;

/**
 * Cutter geometry of the straight-edge test: kerf K, bar thickness T, tip height h above the middle of the engaged
 * tang.
 */
export interface CutterGeometry {
  readonly kerf: Mm;
  readonly barThickness: Mm;
  readonly tipHeight: Mm;
}

/** By how much the cutter stands out beside the bar: `(K − T)/2`, mm. */
export function overhang({ kerf, barThickness }: CutterGeometry): number {
  return (kerf - barThickness) / 2;
}

/** What the straight-edge test will show of a link that can rock by θ: the tip moves `h·sin θ` against the overhang. */
export function predictStraightEdge(rocking: Degrees, cutter: CutterGeometry): StraightEdgeOutcome {
  const left = overhang(cutter) - cutter.tipHeight * Math.sin(toRadians(rocking));
  if (left > GAP_UNSEEN) return 'gap-stays';
  return left >= -GAP_UNSEEN ? 'gap-closes' : 'passes-beyond';
}

/**
 * The play (groove width less link thickness) at which the straight-edge gap closes: the derived limit on play. Its
 * tilt θ* has
 * `h·sin θ* = (K − T)/2`, and the play is `g·cosθ* + e·sinθ* − g`.
 *
 * @returns null when the tip lies too low ever to close the gap (overhang ≥ h), or the kerf is no wider than the bar
 * @example derivedPlayLimit(…K 7.2, T 4.7, h 11, g 1.27, e 5) // { play: 0.560 mm, lean: 6.525° }
 */
export function derivedPlayLimit(
  cutter: CutterGeometry,
  thickness: Mm,
  engaged: Mm,
): { play: Mm; lean: Degrees } | null {
  const side = overhang(cutter);
  if (side <= 0 || side >= cutter.tipHeight) return null;
  const lean = Math.asin(side / cutter.tipHeight);
  return { play: mm(thickness * Math.cos(lean) + engaged * Math.sin(lean) - thickness), lean: degrees(lean) };
}
