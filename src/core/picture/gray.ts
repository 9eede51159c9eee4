import type { Size } from './camera';
import type { Pixel } from './card';

/** A picture in shades of grey, row by row from its upper left corner; 0 is black, 255 white. */
export interface Gray extends Size {
  readonly data: Uint8Array | Float32Array;
}

/** The shade at a place between pixels, by its four neighbours; the edge goes on beyond the picture. */
export function shadeAt({ width, height, data }: Gray, x: number, y: number): number {
  const [inX, inY] = [Math.min(Math.max(x, 0), width - 1.001), Math.min(Math.max(y, 0), height - 1.001)];
  const [left, top] = [Math.floor(inX), Math.floor(inY)];
  const [a, b] = [inX - left, inY - top];
  const at = top * width + left;
  const upper = data[at]! * (1 - a) + data[at + 1]! * a;
  const lower = data[at + width]! * (1 - a) + data[at + width + 1]! * a;
  return upper * (1 - b) + lower * b;
}

export const isInside = ({ width, height }: Size, { x, y }: Pixel, margin = 0): boolean =>
  x >= margin && y >= margin && x <= width - 1 - margin && y <= height - 1 - margin;

/** A picture softened by a Gaussian. @param sigma its spread, pixels */
export function softened({ width, height, data }: Gray, sigma: number): Gray {
  const reach = Math.max(1, Math.ceil(3 * sigma));
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sigma ** 2)));
  const whole = weights.reduce((sum, each) => sum + each, 0);
  const along = (from: ArrayLike<number>, across: boolean): Float32Array => {
    const out = new Float32Array(width * height);
    const [most, stride] = across ? [width, 1] : [height, width];
    for (let y = 0; y < height; y += 1)
      for (let x = 0; x < width; x += 1) {
        const here = across ? x : y;
        const begin = y * width + x - here * stride;
        let sum = 0;
        for (let k = -reach; k <= reach; k += 1) {
          const there = Math.min(Math.max(here + k, 0), most - 1);
          sum += weights[k + reach]! * from[begin + there * stride]!;
        }
        out[y * width + x] = sum / whole;
      }
    return out;
  };
  return { width, height, data: along(along(data, true), false) };
}
