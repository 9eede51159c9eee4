import type { OnCard, Pixel } from './card';
import { product, type Homography } from './homography';

/** A place over the card, mm: z up from it. */
export interface Over extends OnCard {
  readonly z: number;
}

/** Size of a picture, pixels. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** What a camera is, and how it is held over the card. */
export interface Camera {
  readonly size: Size;
  /** Card to camera: rows one after the other. */
  readonly turn: readonly number[];
  /** Where the middle of the card lies before the camera, mm. */
  readonly shift: readonly [number, number, number];
  /** Focal length, pixels. */
  readonly focal: number;
  /** Radial distortion: share by which half the diagonal of the picture is moved. */
  readonly radial: number;
  readonly middle: Pixel;
}

/** Half the diagonal of a picture, pixels. */
export const halfDiagonal = ({ width, height }: Size): number => Math.hypot(width, height) / 2;

/** A turn about an axis by its length, radians (Rodrigues). */
export function turnBy(x: number, y: number, z: number): readonly number[] {
  const angle = Math.hypot(x, y, z);
  if (angle < 1e-12) return [1, -z, y, z, 1, -x, -y, x, 1];
  const [a, b, c] = [x / angle, y / angle, z / angle];
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const rest = 1 - cos;
  return [
    ...[cos + a * a * rest, a * b * rest - c * sin, a * c * rest + b * sin],
    ...[a * b * rest + c * sin, cos + b * b * rest, b * c * rest - a * sin],
    ...[a * c * rest - b * sin, b * c * rest + a * sin, cos + c * c * rest],
  ];
}

/** Where a place over the card is seen. */
export function seenAt({ size, turn, shift, focal, radial, middle }: Camera, { x, y, z }: Over): Pixel {
  const ahead = turn[6]! * x + turn[7]! * y + turn[8]! * z + shift[2];
  const right = (focal * (turn[0]! * x + turn[1]! * y + turn[2]! * z + shift[0])) / ahead;
  const down = (focal * (turn[3]! * x + turn[4]! * y + turn[5]! * z + shift[1])) / ahead;
  const bent = 1 + (radial * (right * right + down * down)) / halfDiagonal(size) ** 2;
  return { x: middle.x + right * bent, y: middle.y + down * bent };
}

/** Rounds that take distortion away, each by what the last one left. */
const UNBENDING = 6;

/** The place at a height over the card that is seen at a pixel. */
export function placeOf({ size, turn, shift, focal, radial, middle }: Camera, pixel: Pixel, z: number): OnCard {
  const [seenRight, seenDown] = [pixel.x - middle.x, pixel.y - middle.y];
  const half = halfDiagonal(size) ** 2;
  let [right, down] = [seenRight, seenDown];
  for (let i = 0; i < UNBENDING; i += 1) {
    const bent = 1 + (radial * (right * right + down * down)) / half;
    [right, down] = [seenRight / bent, seenDown / bent];
  }
  const ray = [right / focal, down / focal, 1] as const;
  // The camera, and the way the ray goes, as the card has them.
  const across = (i: 0 | 1 | 2, of: readonly [number, number, number]) =>
    turn[i]! * of[0] + turn[3 + i]! * of[1] + turn[6 + i]! * of[2];
  const from = [-across(0, shift), -across(1, shift), -across(2, shift)] as const;
  const along = (z - from[2]) / across(2, ray);
  return { x: from[0] + along * across(0, ray), y: from[1] + along * across(1, ray) };
}

/** Where the camera stands over the card, mm. */
export function standsAt({ turn, shift }: Pick<Camera, 'turn' | 'shift'>): Over {
  const along = (i: 0 | 1 | 2) => -(turn[i]! * shift[0] + turn[3 + i]! * shift[1] + turn[6 + i]! * shift[2]);
  return { x: along(0), y: along(1), z: along(2) };
}

/** The camera that a homography and a focal length make, without distortion. */
export function cameraFrom(h: Homography, focal: number, size: Size): Camera | null {
  const middle = { x: size.width / 2, y: size.height / 2 };
  const m = product([1 / focal, 0, -middle.x / focal, 0, 1 / focal, -middle.y / focal, 0, 0, 1], h);
  const sign = m[8]! > 0 ? 1 : -1;
  const [one, two] = [Math.hypot(m[0]!, m[3]!, m[6]!), Math.hypot(m[1]!, m[4]!, m[7]!)];
  const scale = (2 * sign) / (one + two);
  if (!Number.isFinite(scale)) return null;
  const [ax, ay, az] = [m[0]! / one, m[3]! / one, m[6]! / one].map((each) => each * sign) as [number, number, number];
  const dot = sign * (ax * m[1]! + ay * m[4]! + az * m[7]!);
  const raw = [sign * m[1]! - dot * ax, sign * m[4]! - dot * ay, sign * m[7]! - dot * az] as const;
  const long = Math.hypot(...raw);
  const [bx, by, bz] = raw.map((each) => each / long) as [number, number, number];
  const turn = [...[ax, bx, ay * bz - az * by], ...[ay, by, az * bx - ax * bz], ...[az, bz, ax * by - ay * bx]];
  return { size, turn, shift: [m[2]! * scale, m[5]! * scale, m[8]! * scale], focal, radial: 0, middle };
}
