import type { OnCard, Pixel } from './card';
import { placeOf, type Camera } from './camera';
import { archDoubt, movedBy, UNKNOWNS, type Measured, type Plane } from './plane';

/** A pixel, and how well it is known, pixels. */
export interface Marked extends Pixel {
  readonly u: number;
}

/** How high over the card something is seen, mm, and how well that is known. */
export interface Lift {
  readonly h: number;
  readonly u: number;
}

/** The place at a height that is seen at a pixel, by a camera that is the plane's or lies near it, mm. */
function placed({ scale }: Plane, camera: Camera, pixel: Pixel, h: number): OnCard {
  const { x, y } = placeOf(camera, pixel, h / scale);
  return { x: x * scale, y: y * scale };
}

/** Places at one height that are seen at some pixels. */
export const placesAt = (plane: Plane, pixels: readonly Pixel[], h: number): readonly OnCard[] =>
  pixels.map((pixel) => placed(plane, plane.camera, pixel, h));

const STEP = 1e-4;
const PIXEL_STEP = 0.05;

/**
 * A quantity of some places at one height, with the doubt of camera, pixels, height, bend and print carried through (JCGM
 * 100:2008 5.1.2, by differences).
 * @param of what is asked of the places, mm: a length grows with the print's scale, an angle does not
 */
export function measureOn(
  plane: Plane,
  marks: readonly Marked[],
  lift: Lift,
  of: (places: readonly OnCard[]) => number,
  isLength = true,
): Measured {
  const { camera, covariance, scaleDoubt } = plane;
  const value = of(placesAt(plane, marks, lift.h));
  const slopes = Float64Array.from({ length: UNKNOWNS }, (_, i) => {
    const at = (step: number) => {
      const by = new Float64Array(UNKNOWNS);
      by[i] = step;
      const moved = movedBy(camera, by);
      return of(marks.map((mark) => placed(plane, moved, mark, lift.h)));
    };
    return (at(STEP) - at(-STEP)) / (2 * STEP);
  });
  let variance = 0;
  for (let i = 0; i < UNKNOWNS; i += 1)
    for (let j = 0; j < UNKNOWNS; j += 1) variance += slopes[i]! * slopes[j]! * covariance[i * UNKNOWNS + j]!;
  const places = placesAt(plane, marks, lift.h);
  marks.forEach((mark, i) => {
    for (const axis of ['x', 'y'] as const) {
      const moved = [...places];
      moved[i] = placed(plane, camera, { ...mark, [axis]: mark[axis] + PIXEL_STEP }, lift.h);
      variance += ((mark.u * (of(moved) - value)) / PIXEL_STEP) ** 2;
    }
  });
  const higher = (of(placesAt(plane, marks, lift.h + STEP)) - value) / STEP;
  variance += (higher * Math.hypot(lift.u, archDoubt(plane))) ** 2;
  if (isLength) variance += (value * scaleDoubt) ** 2;
  return { value, u: Math.sqrt(variance) };
}

const between = (one: OnCard, other: OnCard): number => Math.hypot(other.x - one.x, other.y - one.y);

/** The distance of two marks. */
export const distanceOf = (plane: Plane, marks: readonly [Marked, Marked], lift: Lift): Measured =>
  measureOn(plane, marks, lift, ([one, other]) => between(one!, other!));

/** The angle at the middle of three marks, degrees. */
export const angleOf = (plane: Plane, marks: readonly [Marked, Marked, Marked], lift: Lift): Measured =>
  measureOn(
    plane,
    marks,
    lift,
    ([one, at, other]) => {
      const turn = Math.atan2(other!.y - at!.y, other!.x - at!.x) - Math.atan2(one!.y - at!.y, one!.x - at!.x);
      return Math.abs((Math.atan2(Math.sin(turn), Math.cos(turn)) * 180) / Math.PI);
    },
    false,
  );

/** How far a mark lies off the line through two others, mm. */
export const offsetOf = (plane: Plane, [from, to, mark]: readonly [Marked, Marked, Marked], lift: Lift): Measured =>
  measureOn(plane, [from, to, mark], lift, ([a, b, c]) => {
    const long = between(a!, b!);
    return Math.abs((b!.x - a!.x) * (c!.y - a!.y) - (b!.y - a!.y) * (c!.x - a!.x)) / long;
  });
