import { quadrature, difference, mm, ownUncertainty, sameTool, type Bounds, type Estimate } from '../quantity';
import { deepShare } from './rock';
import { engagedAt, type Station } from './station';

/**
 * Side play of a link at a station, from below and from above. The mouth is the widest place of a groove: alone it says
 * only that there is no more play than that; the width near the floor alone, that there is no less.
 */
export type PlayBounds = Bounds;

/**
 * A width between mouth and floor: both readings in shares that add to one, so that what the tool shares stays whole.
 */
function mixed(mouth: Estimate, deep: Estimate, share: number): Estimate {
  const value = mm(mouth.value * (1 - share) + deep.value * share);
  const own = (a: Estimate, part: number) => part * (sameTool(mouth, deep) ? ownUncertainty(a) : a.u);
  const u = quadrature(own(mouth, 1 - share), own(deep, share));
  if (!sameTool(mouth, deep)) return { value, u };
  const shared = mouth.shared ?? 0;
  return { value, u: quadrature(u, shared), shared, tool: mouth.tool! };
}

/** The width that a link rocks in, from below and from above; null on a side where nothing holds it. */
export function rockingBounds(station: Station, tang: Estimate | null): Bounds {
  const { deepAt } = station;
  const { mouth, deep } = station.widths;
  const engaged = engagedAt(station, tang);
  const share = deepShare({ deep: deep?.lo?.value ?? deep?.hi?.value ?? null, deepAt }, engaged);
  // Readings that are known from both sides alike give one width, and not two that are equal.
  if (mouth?.lo && mouth.lo === mouth.hi && deep?.lo && deep.lo === deep.hi) {
    const width = mixed(mouth.lo, deep.lo, share);
    return { lo: width, hi: width };
  }
  return {
    lo: deep?.lo ? (mouth?.lo ? mixed(mouth.lo, deep.lo, share) : deep.lo) : null,
    hi: mouth?.hi ? (deep?.hi ? mixed(mouth.hi, deep.hi, share) : mouth.hi) : null,
  };
}

/** Play at a station of a link of given thickness. */
export function playBounds(station: Station, tang: Estimate | null, link: Estimate): PlayBounds {
  const { lo, hi } = rockingBounds(station, tang);
  return { lo: lo && difference(lo, link), hi: hi && difference(hi, link) };
}
