import { flatMap } from '../flat-map';
import { err, ok, type Result } from '../result';
import type { OnCard, Pixel } from './card';
import type { Gray } from './gray';
import { softened } from './gray';
import { median } from '../quantity';
import { placesAt, type Lift, type Marked } from './measure';
import type { Plane } from './plane';
import { discNear, peakNear, roundnessOf, type Roundness } from './round-thing';
import { inStrip, markAt, placeIn, stripBetween, type Strip } from './strip';

/** A rivet of a run as it was found. */
export interface FoundRivet extends Marked {
  /** It was not seen: it stands where the comb through the others has it. */
  readonly isGuessed: boolean;
}

/** Why no run is proposed between two taps. */
export type RivetsRefusal = { readonly code: 'too-near' } | { readonly code: 'no-rivets' };

/** Radii of a rivet's head or its hammered end, mm (tried on rendered chains). */
export const LEAST_RADIUS = 1.4;
export const MOST_RADIUS = 2.2;
/** A tap is this far from its rivet at most, mm. */
const TAP_REACH = 3.2;
/** A run is searched this far beside its line, and this far beyond its ends, mm. */
const HALF = 8;
const MARGIN = 7;
/** Taps of a run lie this far apart at least, mm. */
const LEAST_SPAN = 10;
/** Pitches that chains have, with room for wear, mm. */
const LEAST_PITCH = 5.9;
const MOST_PITCH = 10.6;
/** Share of two pitches that lies between a rivet and the next. */
const WIDTHS = Array.from({ length: 13 }, (_, i) => 0.44 + 0.01 * i);
/** Rivets wander beside the line by up to this, mm. */
const BESIDE = 0.9;
/** A rivet that is less round than this share of the middling one was not seen. */
const LEAST_ROUND = 0.35;
/** Doubt of a rivet's middle, mm: found, and guessed. */
const FOUND_DOUBT = 0.06;
const GUESSED_DOUBT = 0.3;

/** Roundness along the line of a run, the best beside it: every quarter of a millimetre or so. */
function profileAlong(of: Roundness, perMm: number): Float64Array {
  const [middle, beside] = [of.height / 2, Math.round(BESIDE * perMm)];
  return Float64Array.from({ length: of.width }, (_, x) => {
    let most = 0;
    for (let off = -beside; off <= beside; off += 1) {
      const y = Math.round(middle + off);
      most = Math.max(most, of.data[y * of.width + x]!);
    }
    return most;
  });
}

interface Comb {
  /** Places of the rivets along the strip, pixels. */
  readonly at: readonly number[];
  readonly worth: number;
}

/** The combs that may stand between two rivets: so many steps, alternately close and wide. */
function combsBetween(from: number, to: number, perMm: number): readonly (readonly number[])[] {
  const long = (to - from) / perMm;
  const most = Math.ceil(long / LEAST_PITCH) + 1;
  return flatMap(
    Array.from({ length: most }, (_, i) => i + 1),
    (steps) =>
      flatMap(WIDTHS, (width): readonly (readonly number[])[] => {
        const periods = Math.floor(steps / 2) + (steps % 2) * width;
        const period = long / periods;
        if (period < 2 * LEAST_PITCH || period > 2 * MOST_PITCH) return [];
        const places = Array.from({ length: steps + 1 }, (_, i) => Math.floor(i / 2) + (i % 2) * width);
        return [places.map((place) => from + place * period * perMm)];
      }),
  );
}

/** How well a comb fits: round at its places, not round between them. */
function worthOf(profile: Float64Array, at: readonly number[], perMm: number): number {
  const reach = Math.round(0.35 * perMm);
  const best = (x: number) => {
    let most = 0;
    for (let i = Math.round(x) - reach; i <= Math.round(x) + reach; i += 1) most = Math.max(most, profile[i] ?? 0);
    return Math.sqrt(most);
  };
  const on = at.reduce((sum, x) => sum + best(x), 0) / at.length;
  const gaps = at.slice(1).map((x, i) => Math.sqrt(profile[Math.round((x + at[i]!) / 2)] ?? 0));
  return on - gaps.reduce((sum, each) => sum + each, 0) / gaps.length;
}

function bestComb(profile: Float64Array, from: number, to: number, perMm: number): Comb | null {
  let best: Comb | null = null;
  for (const at of combsBetween(from, to, perMm)) {
    const worth = worthOf(profile, at, perMm);
    if (!best || worth > best.worth) best = { at, worth };
  }
  return best && best.worth > 0 ? best : null;
}

interface Peak extends Pixel {
  readonly height: number;
}

/** Peaks by their places; where none is seen, the comb says where it should be. */
function withGuesses(
  peaks: readonly Peak[],
  comb: readonly number[],
  middle: number,
): readonly (Pixel & { isGuessed: boolean })[] {
  const least = LEAST_ROUND * median(peaks.map(({ height }) => height));
  return peaks.map((peak, i) =>
    peak.height >= least ? { ...peak, isGuessed: false } : { x: comb[i]!, y: middle, isGuessed: true },
  );
}

/** Where a tap's rivet is: the roundest place about it. */
function snapped(strip: Strip, of: Roundness, tap: OnCard): Pixel {
  const at = inStrip(strip, tap);
  return peakNear(of, at, TAP_REACH * strip.perMm) ?? at;
}

/**
 * The rivets of a straight run between two taps, the first and the last among them.
 * @param taps pixels near its end rivets
 */
export function rivetsBetween(
  gray: Gray,
  plane: Plane,
  taps: readonly [Pixel, Pixel],
  lift: Lift,
): Result<readonly FoundRivet[], RivetsRefusal> {
  const [one, other] = placesAt(plane, taps, lift.h) as [OnCard, OnCard];
  if (!(Math.hypot(other.x - one.x, other.y - one.y) >= LEAST_SPAN)) return err({ code: 'too-near' });
  const strip = stripBetween(gray, plane, [one, other], { h: lift.h, margin: MARGIN, half: HALF });
  const { perMm } = strip;
  const roundness = roundnessOf(strip.gray, LEAST_RADIUS * perMm, MOST_RADIUS * perMm);
  const [first, last] = [snapped(strip, roundness, one), snapped(strip, roundness, other)];
  // Once more along the line through the rivets themselves.
  const ends = [placeIn(strip, first), placeIn(strip, last)] as const;
  const straight = stripBetween(gray, plane, ends, { h: lift.h, margin: MARGIN, half: HALF });
  const round = roundnessOf(straight.gray, LEAST_RADIUS * perMm, MOST_RADIUS * perMm);
  const [from, to] = ends.map((end) => inStrip(straight, end).x) as [number, number];
  const comb = bestComb(profileAlong(round, perMm), from, to, perMm);
  if (!comb) return err({ code: 'no-rivets' });
  const middle = straight.gray.height / 2;
  const peaks = comb.at.map((x) => peakNear(round, { x, y: middle }, BESIDE * perMm) ?? { x, y: middle, height: 0 });
  const soft = softened(straight.gray, 0.8);
  const radii = [0.7 * LEAST_RADIUS * perMm, 1.25 * MOST_RADIUS * perMm] as const;
  const found = withGuesses(peaks, comb.at, middle).map((at) => {
    if (at.isGuessed) return at;
    const disc = discNear(soft, at, ...radii);
    const moved = disc && Math.hypot(disc.x - at.x, disc.y - at.y) / perMm;
    return disc && disc.seen > 0.4 && moved! < 0.6 ? { ...at, x: disc.x, y: disc.y } : at;
  });
  return ok(settled(found, straight, plane, lift));
}

/** Rivets of a strip in the picture again, with their doubt. */
function settled(
  found: readonly (Pixel & { isGuessed: boolean })[],
  strip: Strip,
  plane: Plane,
  { h }: Lift,
): readonly FoundRivet[] {
  return found.map(({ x, y, isGuessed }) => ({
    ...markAt(plane, placeIn(strip, { x, y }), h, isGuessed ? GUESSED_DOUBT : FOUND_DOUBT),
    isGuessed,
  }));
}
