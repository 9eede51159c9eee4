import type { OnCard, Pixel } from './card';
import { inverse, times } from './solve';

/** Nine numbers in row order, the last of them 1: a plane seen by a camera without distortion. */
export type Homography = readonly number[];

interface Normalised {
  readonly points: readonly (readonly [number, number])[];
  readonly middle: readonly [number, number];
  readonly scale: number;
}

/** Points about their middle, at √2 from it on average (Hartley, In defense of the eight-point algorithm, 1997). */
function normalised(points: readonly { readonly x: number; readonly y: number }[]): Normalised {
  const mean = (of: (point: { x: number; y: number }) => number) =>
    points.reduce((sum, point) => sum + of(point), 0) / points.length;
  const middle = [mean(({ x }) => x), mean(({ y }) => y)] as const;
  const scale = Math.SQRT2 / mean(({ x, y }) => Math.hypot(x - middle[0], y - middle[1]));
  return {
    points: points.map(({ x, y }) => [(x - middle[0]) * scale, (y - middle[1]) * scale] as const),
    middle,
    scale,
  };
}

/**
 * The homography that takes places on a plane to those in a picture, by least squares on normalised points (Hartley &
 * Zisserman, Multiple View Geometry, 4.1 and 4.4).
 * @param card at least four places, no three of them in line
 * @returns null where they do not span a plane
 */
export function homographyOf(card: readonly OnCard[], picture: readonly Pixel[]): Homography | null {
  const [from, to] = [normalised(card), normalised(picture)];
  const normal = new Float64Array(64);
  const right = new Float64Array(8);
  from.points.forEach(([x, y], i) => {
    const [u, v] = to.points[i]!;
    for (const [row, value] of [
      [[x, y, 1, 0, 0, 0, -u * x, -u * y], u],
      [[0, 0, 0, x, y, 1, -v * x, -v * y], v],
    ] as const)
      for (let a = 0; a < 8; a += 1) {
        right[a]! += row[a]! * value;
        for (let b = 0; b < 8; b += 1) normal[a * 8 + b]! += row[a]! * row[b]!;
      }
  });
  const undone = inverse(normal, 8);
  if (!undone) return null;
  const h = [...times(undone, right), 1];
  return isFinite(h[0]!) ? denormalised(h, from, to) : null;
}

function denormalised(h: readonly number[], from: Normalised, to: Normalised): Homography {
  const own = [from.scale, 0, -from.scale * from.middle[0], 0, from.scale, -from.scale * from.middle[1], 0, 0, 1];
  const back = [1 / to.scale, 0, to.middle[0], 0, 1 / to.scale, to.middle[1], 0, 0, 1];
  const all = product(back, product(h, own));
  return all.map((each) => each / all[8]!);
}

/** Product of two matrices of three by three. */
export const product = (a: readonly number[], b: readonly number[]): readonly number[] =>
  a.map((_, i) => {
    const [row, column] = [Math.floor(i / 3), i % 3];
    return a[row * 3]! * b[column]! + a[row * 3 + 1]! * b[3 + column]! + a[row * 3 + 2]! * b[6 + column]!;
  });

/** Where a place on the plane is seen. */
export function throughHomography(h: Homography, { x, y }: OnCard): Pixel {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return { x: (h[0]! * x + h[1]! * y + h[2]!) / w, y: (h[3]! * x + h[4]! * y + h[5]!) / w };
}
