import { flatMap } from '../flat-map';
import { err, ok, type Result } from '../result';
import type { OnCard, Pixel } from './card';
import { edgesFrom } from './edge';
import { MAD_OF_NORMAL, median } from '../quantity';
import { softened, type Gray } from './gray';
import { distanceOf, placesAt, type Lift, type Marked } from './measure';
import { type Plane, type Measured } from './plane';
import { circleThrough, discNear, RAYS, type Disc } from './round-thing';
import { markAt, placeIn, stripBetween, type Strip } from './strip';

/** A slot for studs, mm. */
export interface Slot {
  readonly width: Measured;
  /** From end to end; null where an end is not seen. */
  readonly length: Measured | null;
  /** Spread of the width along the slot, mm. */
  readonly spread: number;
}

export type SlotRefusal = { readonly code: 'no-slot' } | { readonly code: 'uneven-slot'; readonly spread: number };

/** Half the widest slot and more, mm; the longest way from a tap to an end of its slot, mm. */
const HALF = 11;
const MARGIN = 45;
const STATIONS = 25;
const LEAST_STATIONS = 9;
/** A slot whose width spreads by more is not seen well enough, mm. */
const MOST_SPREAD = 0.15;
/** An edge between steel and hole is a rim: how well it is known where it looks sharp, mm. */
const RIM_DOUBT = 0.035;

/** The wall of a slot, seen under its rim, is no wider than this, mm. */
const WIDEST_WALL = 4;
/** Steel differs from the floor and the wall beside it by no less than this share of the strongest edge. */
const LEAST_SHARE = 0.3;

/**
 * A way out of the middle of a hole to its rim, pixels: the first edge is the foot of its wall, or the rim where no
 * wall is seen; where it gets brighter once more close behind, that is the rim.
 */
function rimFrom({ gray, perMm }: Strip, from: Pixel, way: Pixel, reach: number): number | null {
  const edges = edgesFrom(gray, from, way, reach * perMm);
  const strongest = Math.max(0, ...edges.map(({ rise }) => Math.abs(rise)));
  const clear = edges.filter(({ rise }) => Math.abs(rise) >= LEAST_SHARE * strongest);
  const [foot] = clear;
  if (!foot) return null;
  if (foot.rise > 0) return foot.at;
  const rim = clear.find(({ at, rise }) => rise > 0 && at > foot.at && at - foot.at < WIDEST_WALL * perMm);
  return (rim ?? foot).at;
}

/**
 * A slot between two taps in its middle line: its width by profiles across it, its length by one along it.
 * @param taps pixels inside the slot, some way apart
 */
export function slotBetween(
  gray: Gray,
  plane: Plane,
  taps: readonly [Pixel, Pixel],
  lift: Lift,
): Result<Slot, SlotRefusal> {
  const [one, other] = placesAt(plane, taps, lift.h) as [OnCard, OnCard];
  const first = slotAlong(gray, plane, [one, other], lift);
  // Once more along the middle line that it showed.
  return first.ok ? slotAlong(gray, plane, first.value.line, lift) : first;
}

/** A slot, and two places on its middle line. */
interface Along extends Slot {
  readonly line: readonly [OnCard, OnCard];
}

function slotAlong(
  gray: Gray,
  plane: Plane,
  [one, other]: readonly [OnCard, OnCard],
  lift: Lift,
): Result<Along, SlotRefusal> {
  const long = Math.hypot(other.x - one.x, other.y - one.y);
  if (!(long > 3)) return err({ code: 'no-slot' });
  const strip = stripBetween(gray, plane, [one, other], { h: lift.h, margin: MARGIN, half: HALF });
  const { perMm } = strip;
  const [begin, row] = [MARGIN * perMm, strip.gray.height / 2];
  const sides = flatMap(
    Array.from({ length: STATIONS }, (_, i) => begin + (long * perMm * i) / (STATIONS - 1)),
    (x): readonly { x: number; up: number; down: number }[] => {
      const at = { x, y: row };
      const up = rimFrom(strip, at, { x: 0, y: -1 }, HALF);
      const down = rimFrom(strip, at, { x: 0, y: 1 }, HALF);
      return up === null || down === null ? [] : [{ x, up, down }];
    },
  );
  if (sides.length < LEAST_STATIONS) return err({ code: 'no-slot' });
  const widths = sides.map(({ up, down }) => (up + down) / perMm);
  const width = median(widths);
  const spread = median(widths.map((each) => Math.abs(each - width))) / MAD_OF_NORMAL;
  if (spread > MOST_SPREAD) return err({ code: 'uneven-slot', spread });
  const off = median(sides.map(({ up, down }) => (down - up) / 2));
  const across = [
    { x: begin, y: row + off - (width * perMm) / 2 },
    { x: begin, y: row + off + (width * perMm) / 2 },
  ] as const;
  const half = Math.floor(sides.length / 2);
  const offOf = (some: typeof sides) => median(some.map(({ up, down }) => (down - up) / 2));
  const middleX = (some: typeof sides) => some.reduce((sum, { x }) => sum + x / some.length, 0);
  const [left, right] = [sides.slice(0, half), sides.slice(half)];
  const line = [left, right].map((some) => placeIn(strip, { x: middleX(some), y: row + offOf(some) }));
  const ends = endsOf(strip, row + off, begin, begin + long * perMm);
  return ok({
    width: distanceOf(plane, [marked(plane, strip, across[0], lift), marked(plane, strip, across[1], lift)], lift),
    length: ends && distanceOf(plane, [marked(plane, strip, ends[0], lift), marked(plane, strip, ends[1], lift)], lift),
    spread,
    line: [line[0]!, line[1]!],
  });
}

function endsOf(strip: Strip, row: number, from: number, to: number): readonly [Pixel, Pixel] | null {
  const middle = { x: (from + to) / 2, y: row };
  const reach = MARGIN + (to - from) / 2 / strip.perMm - 1;
  const [left, right] = [rimFrom(strip, middle, { x: -1, y: 0 }, reach), rimFrom(strip, middle, { x: 1, y: 0 }, reach)];
  return left === null || right === null
    ? null
    : [
        { x: middle.x - left, y: row },
        { x: middle.x + right, y: row },
      ];
}

/** A pixel of a strip, on a rim, as a mark in the picture. */
const marked = (plane: Plane, strip: Strip, at: Pixel, { h }: Lift): Marked =>
  markAt(plane, placeIn(strip, at), h, RIM_DOUBT);

/** A round hole: its middle in the picture, and its diameter, mm. */
export interface Hole {
  readonly at: Marked;
  readonly diameter: Measured;
}

/** Holes of a bar's tail, mm. */
const LEAST_HOLE = 2;
const MOST_HOLE = 12;
const HOLE_REACH = 10;
/** A hole whose rim is seen over less of its way round is not measured. */
const LEAST_SEEN = 0.7;
const MOST_RIM_SPREAD = 0.2;

/** The rim of a hole about its middle: the foot of its wall is not taken for it. */
function rimOf(strip: Strip, middle: Pixel): Disc | null {
  const rim = flatMap(
    Array.from({ length: RAYS }, (_, i) => (2 * Math.PI * i) / RAYS),
    (angle): readonly Pixel[] => {
      const way = { x: Math.cos(angle), y: Math.sin(angle) };
      const far = rimFrom(strip, middle, way, MOST_HOLE / 2 + 1);
      return far === null ? [] : [{ x: middle.x + far * way.x, y: middle.y + far * way.y }];
    },
  );
  return circleThrough(rim);
}

/** The hole at a tap; null where no round rim is seen, or not enough of it: it is then for the eye. */
export function holeAt(gray: Gray, plane: Plane, tap: Pixel, lift: Lift): Hole | null {
  const [place] = placesAt(plane, [tap], lift.h) as [OnCard];
  const beside = { x: place.x + 1, y: place.y };
  const strip = stripBetween(gray, plane, [place, beside], { h: lift.h, margin: HOLE_REACH, half: HOLE_REACH });
  const { perMm } = strip;
  const about = { x: HOLE_REACH * perMm, y: strip.gray.height / 2 };
  const seen = discNear(softened(strip.gray, 0.8), about, (LEAST_HOLE / 2) * perMm, (MOST_HOLE / 2) * perMm);
  const disc = seen && rimOf(strip, seen);
  if (!disc || disc.seen < LEAST_SEEN || disc.spread > MOST_RIM_SPREAD * perMm) return null;
  const rims = [-1, 1].map((way) => marked(plane, strip, { x: disc.x + way * disc.radius, y: disc.y }, lift));
  return {
    at: marked(plane, strip, disc, lift),
    diameter: distanceOf(plane, [rims[0]!, rims[1]!], lift),
  };
}
