/**
 * Draws photographs of things that lie beside a card, ray by ray: perspective, distortion, light, blur and noise of its
 * own. It shares nothing with what measures pictures, so that it can be its test.
 */

/** How a camera is held over the middle of the card. */
export interface View {
  readonly width: number;
  readonly height: number;
  /** From the middle of the card, mm. */
  readonly distance: number;
  /** From upright, the way that it leans to, and about its own axis, radians. */
  readonly tilt: number;
  readonly toward: number;
  readonly roll: number;
  /** Field of view across the width, radians. */
  readonly view: number;
  /** Share by which a corner of the picture is moved outward. */
  readonly radial: number;
}

/** A printed square: its middle, mm, and its bits row by row, 1 white. */
export interface Printed {
  readonly x: number;
  readonly y: number;
  readonly bits: readonly string[];
}

/** Something that lies on the card. */
export interface Thing {
  /** Its upper side and its lower, mm over the card. */
  readonly top: number;
  readonly bottom: number;
  /** Its shade at a place, 0 to 255; null where it is not. */
  readonly shade: (x: number, y: number) => number | null;
}

export interface Scene {
  readonly card: { readonly width: number; readonly height: number; readonly squares: readonly Printed[] };
  readonly things: readonly Thing[];
  /** How high the card stands up in its middle, mm. */
  readonly bend?: number;
  /** Of the print, share. */
  readonly printScale?: number;
  /** How much darker the far side is, share. */
  readonly shadow?: number;
  /** Spread of the blur, pixels. */
  readonly blur?: number;
  /** Spread of the noise, shades. */
  readonly noise?: number;
  readonly seed: number;
}

export interface Photograph {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

type Vector = readonly [number, number, number];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const times = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
const unit = (a: Vector): Vector => times(a, 1 / Math.sqrt(dot(a, a)));

interface Eye {
  readonly at: Vector;
  readonly ahead: Vector;
  readonly right: Vector;
  readonly down: Vector;
  readonly focal: number;
}

function eyeOf({ width, distance, tilt, toward, roll, view }: View): Eye {
  const up: Vector = [Math.sin(tilt) * Math.cos(toward), Math.sin(tilt) * Math.sin(toward), Math.cos(tilt)];
  const ahead = times(up, -1);
  const right = unit(cross(ahead, [Math.sin(roll), Math.cos(roll), 0.013]));
  return { at: times(up, distance), ahead, right, down: cross(ahead, right), focal: width / 2 / Math.tan(view / 2) };
}

/** Where a place is seen, pixels. */
export function seenFrom(view: View): (x: number, y: number, z?: number) => { readonly x: number; readonly y: number } {
  const { at, ahead, right, down, focal } = eyeOf(view);
  const half = (view.width ** 2 + view.height ** 2) / 4;
  return (x, y, z = 0) => {
    const way: Vector = [x - at[0], y - at[1], z - at[2]];
    const depth = dot(way, ahead);
    const [u, v] = [(focal * dot(way, right)) / depth, (focal * dot(way, down)) / depth];
    const bent = 1 + (view.radial * (u * u + v * v)) / half;
    return { x: view.width / 2 + u * bent - 0.5, y: view.height / 2 + v * bent - 0.5 };
  };
}

const PAPER = 232;
const INK = 28;
const SIDE = 18;

function paperAt({ card, printScale = 1 }: Scene, x: number, y: number): number | null {
  if (Math.abs(x) > card.width / 2 || Math.abs(y) > card.height / 2) return null;
  for (const square of card.squares) {
    const inX = x / printScale - square.x + SIDE / 2;
    const inY = square.y + SIDE / 2 - y / printScale;
    if (inX < 0 || inY < 0 || inX >= SIDE || inY >= SIDE) continue;
    const [column, row] = [Math.floor(inX / 3) - 1, Math.floor(inY / 3) - 1];
    return square.bits[row]?.[column] === '1' ? PAPER : INK;
  }
  return PAPER;
}

/** A bench of planks under the card. */
const benchAt = (x: number, y: number): number =>
  116 + 10 * Math.sin(y / 3.1 + Math.sin(x / 40)) + 7 * Math.sin(y / 0.9 + x / 55);

const STEPS_DOWN = 4;

function rayShade(scene: Scene, at: Vector, way: Vector): number {
  const [dx, dy] = [way[0] / way[2], way[1] / way[2]];
  const shadeAt = (thing: Thing, z: number) => thing.shade(at[0] + (z - at[2]) * dx, at[1] + (z - at[2]) * dy);
  for (const thing of scene.things) {
    const shade = shadeAt(thing, thing.top);
    if (shade !== null) return shade;
    for (let step = 1; step <= STEPS_DOWN; step += 1) {
      const side = shadeAt(thing, thing.top - ((thing.top - thing.bottom) * step) / STEPS_DOWN);
      if (side !== null) return side * 0.45;
    }
  }
  const bend = scene.bend ?? 0;
  let z = 0;
  for (let round = 0; bend !== 0 && round < 4; round += 1) {
    const x = at[0] + (z - at[2]) * dx;
    z = Math.abs(x) < scene.card.width / 2 ? bend * Math.cos((Math.PI * x) / scene.card.width) : 0;
  }
  const [x, y] = [at[0] + (z - at[2]) * dx, at[1] + (z - at[2]) * dy];
  return paperAt(scene, x, y) ?? benchAt(x, y);
}

/** Random numbers about zero with a spread of one. */
export function noiseOf(seed: number): () => number {
  let state = (seed * 2654435761 + 12345) >>> 0;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

function blurred(data: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const reach = Math.ceil(3 * sigma);
  const weights = Float32Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * sigma ** 2)),
  );
  const whole = weights.reduce((sum, each) => sum + each, 0);
  const pass = (from: Float32Array, stride: number, last: number, where: (i: number) => number) =>
    from.map((_, i) => {
      const here = where(i);
      let sum = 0;
      for (let k = -reach; k <= reach; k += 1)
        sum += weights[k + reach]! * from[i + (Math.min(Math.max(here + k, 0), last) - here) * stride]!;
      return sum / whole;
    });
  const across = pass(data, 1, width - 1, (i) => i % width);
  return pass(across, width, height - 1, (i) => Math.floor(i / width));
}

/** Shades that lie further apart than this have an edge between them. */
const EDGE = 14;
const RAYS = 4;

/** Takes the pixels at edges again, by several rays each. */
function smoothed(light: Float32Array, width: number, seen: (x: number, y: number) => number): void {
  const once = Float32Array.from(light);
  for (let i = width + 1; i < light.length - width - 1; i += 1) {
    const here = once[i]!;
    if ([-1, 1, -width, width].every((off) => Math.abs(once[i + off]! - here) < EDGE)) continue;
    const [column, row] = [i % width, Math.floor(i / width)];
    let sum = 0;
    for (let a = 0; a < RAYS; a += 1)
      for (let b = 0; b < RAYS; b += 1) sum += seen(column + (a + 0.5) / RAYS, row + (b + 0.5) / RAYS);
    light[i] = sum / RAYS ** 2;
  }
}

/** Takes a photograph. */
export function photographOf(scene: Scene, view: View): Photograph {
  const { width, height, radial } = view;
  const { at, ahead, right, down, focal } = eyeOf(view);
  const half = (width ** 2 + height ** 2) / 4;
  const light = new Float32Array(width * height);
  const shadow = scene.shadow ?? 0.15;
  const seen = (column: number, row: number): number => {
    const [seenU, seenV] = [column - width / 2, row - height / 2];
    let bent = 1;
    for (let round = 0; round < 3; round += 1)
      bent = 1 + (radial * (seenU * seenU + seenV * seenV)) / (bent * bent) / half;
    const [a, b] = [seenU / bent / focal, seenV / bent / focal];
    return rayShade(scene, at, [
      ahead[0] + a * right[0] + b * down[0],
      ahead[1] + a * right[1] + b * down[1],
      ahead[2] + a * right[2] + b * down[2],
    ]);
  };
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) light[row * width + column] = seen(column + 0.5, row + 0.5);
  smoothed(light, width, seen);
  for (let i = 0; i < light.length; i += 1) light[i]! *= 1 - (shadow * (i % width)) / width;
  const soft = scene.blur ? blurred(light, width, height, scene.blur) : light;
  const noise = noiseOf(scene.seed);
  const spread = scene.noise ?? 2;
  return { width, height, data: Uint8Array.from(soft, (each) => Math.min(255, Math.max(0, each + spread * noise()))) };
}
