import type { OnCard, Pixel } from './card';
import { softened, type Gray } from './gray';
import { placesAt, type Lift, type Marked } from './measure';
import type { Plane } from './plane';
import { discNear, peakNear, roundnessOf } from './round-thing';
import { LEAST_RADIUS, MOST_RADIUS } from './rivets';
import { inStrip, markAt, placeIn, stripBetween } from './strip';

/** What is looked at about a tap, and how far its rivet may lie from it, mm. */
const ABOUT = 8;
const REACH = 2;
/** A rivet found, and a tap that stays where it is, mm. */
const FOUND_DOUBT = 0.06;
const TAP_DOUBT = 0.2;

/** A tap, moved into the middle of the rivet about it where one is seen. */
export function snappedToRivet(
  gray: Gray,
  plane: Plane,
  tap: Pixel,
  { h }: Lift,
): Marked & { readonly isSnapped: boolean } {
  const [place] = placesAt(plane, [tap], h) as [OnCard];
  const strip = stripBetween(gray, plane, [place, { x: place.x + 1, y: place.y }], { h, margin: ABOUT, half: ABOUT });
  const { perMm } = strip;
  const round = roundnessOf(strip.gray, LEAST_RADIUS * perMm, MOST_RADIUS * perMm);
  const peak = peakNear(round, inStrip(strip, place), REACH * perMm);
  const disc =
    peak && discNear(softened(strip.gray, 0.8), peak, 0.7 * LEAST_RADIUS * perMm, 1.25 * MOST_RADIUS * perMm);
  const isSnapped = Boolean(
    disc && disc.seen > 0.4 && peak && Math.hypot(disc.x - peak.x, disc.y - peak.y) < 0.6 * perMm,
  );
  const at = isSnapped ? placeIn(strip, disc!) : place;
  return { ...markAt(plane, at, h, isSnapped ? FOUND_DOUBT : TAP_DOUBT), isSnapped };
}
