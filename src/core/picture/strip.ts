import type { OnCard, Pixel } from './card';
import { seenAt } from './camera';
import { shadeAt, type Gray } from './gray';
import type { Marked } from './measure';
import type { Plane } from './plane';

/** A part of a picture as it is seen from straight above at one height: straight, and so many pixels a millimetre. */
export interface Strip {
  readonly gray: Gray;
  readonly perMm: number;
  /** Where its upper left corner lies, and the way of its rows, of length one. */
  readonly from: OnCard;
  readonly along: OnCard;
  /** How high over the card it is cut, mm. */
  readonly h: number;
}

const LEAST_PER_MM = 5;
const MOST_PER_MM = 8;

/** Pixels of a picture a millimetre about a place on the card. */
function perMmAbout({ camera, scale }: Plane, { x, y }: OnCard): number {
  const at = (dx: number) => seenAt(camera, { x: (x + dx) / scale, y: y / scale, z: 0 });
  const [one, other] = [at(-5), at(5)];
  return Math.hypot(other.x - one.x, other.y - one.y) / 10;
}

/** The pixel at which a place over the card is seen, mm as they are. */
export const pixelOf = ({ camera, scale }: Plane, { x, y }: OnCard, h: number): Pixel =>
  seenAt(camera, { x: x / scale, y: y / scale, z: h / scale });

/** A place over the card as a mark in the picture. @param u how well it is known, mm */
export function markAt(plane: Plane, place: OnCard, h: number, u: number): Marked {
  const [there, beside] = [pixelOf(plane, place, h), pixelOf(plane, { x: place.x + 1, y: place.y }, h)];
  return { ...there, u: u * Math.hypot(beside.x - there.x, beside.y - there.y) };
}

/** Cuts a strip out of a picture. @param margin before and behind the two places, mm @param half its half width, mm */
export function stripBetween(
  gray: Gray,
  plane: Plane,
  [one, other]: readonly [OnCard, OnCard],
  { h, margin, half }: { readonly h: number; readonly margin: number; readonly half: number },
): Strip {
  const long = Math.hypot(other.x - one.x, other.y - one.y);
  const along = { x: (other.x - one.x) / long, y: (other.y - one.y) / long };
  const middle = { x: (one.x + other.x) / 2, y: (one.y + other.y) / 2 };
  const perMm = Math.min(MOST_PER_MM, Math.max(LEAST_PER_MM, perMmAbout(plane, middle)));
  const from = {
    x: one.x - margin * along.x - half * along.y,
    y: one.y - margin * along.y + half * along.x,
  };
  const [width, height] = [Math.ceil((long + 2 * margin) * perMm), Math.ceil(2 * half * perMm)];
  const data = new Float32Array(width * height);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const { x, y } = pixelOf(plane, placeIn({ from, along, perMm }, { x: column, y: row }), h);
      data[row * width + column] = shadeAt(gray, x, y);
    }
  return { gray: { width, height, data }, perMm, from, along, h };
}

/** The place on the card of a pixel of a strip, mm: its rows go down beside the way. */
export function placeIn({ from, along, perMm }: Pick<Strip, 'from' | 'along' | 'perMm'>, { x, y }: Pixel): OnCard {
  return {
    x: from.x + (x * along.x + y * along.y) / perMm,
    y: from.y + (x * along.y - y * along.x) / perMm,
  };
}

/** The pixel of a strip at which a place lies. */
export function inStrip({ from, along, perMm }: Strip, { x, y }: OnCard): Pixel {
  const [dx, dy] = [x - from.x, y - from.y];
  return { x: (dx * along.x + dy * along.y) * perMm, y: (dx * along.y - dy * along.x) * perMm };
}
