import { mm, type Mm } from '../quantity';

/**
 * Pitch diameter of a sprocket that takes N drive links a turn: the rivets stand on a polygon of 2N sides.
 * @param pitch link pitch (rivet to rivet), mm, above zero
 * @param teeth drive links a turn, 3 or more
 * @see Machinery's Handbook, roller chain sprockets, pitch diameter `P / sin(180°/N)` (from memory)
 * @example pitchDiameter(mm(9.525), 7) // 42.8 mm, 1.685 in
 */
export function pitchDiameter(pitch: number, teeth: number): Mm {
  return mm(pitch / Math.sin(Math.PI / (2 * teeth)));
}

/**
 * Speed of the chain along the bar, metres a second: each turn of the sprocket pulls N drive links, two pitches each.
 * @param rpm turns a minute
 * @example chainSpeed(9.525, 7, 10_000) // 22.2 m/s
 */
export function chainSpeed(pitch: number, teeth: number, rpm: number): number {
  return (2 * pitch * teeth * rpm) / 60_000;
}

/**
 * The two wheels a loop runs round, by the radius at which the rivets run, mm. A hard nose is a wheel that does not
 * turn.
 */
export interface Wheels {
  readonly drive: number;
  readonly nose: number;
}

/**
 * Length of an open belt round two wheels at centre distance C, mm:
 * `L = 2√(C² − (r₁ − r₂)²) + π(r₁ + r₂) + 2(r₁ − r₂)·asin((r₁ − r₂)/C)`.
 * @param centres mm, at least the difference of the radii
 */
export function loopLength({ drive, nose }: Wheels, centres: number): Mm {
  const step = drive - nose;
  const straight = Math.sqrt(Math.max(0, centres ** 2 - step ** 2));
  return mm(2 * straight + Math.PI * (drive + nose) + 2 * step * Math.asin(Math.max(-1, Math.min(1, step / centres))));
}

/** How near the bisection goes, mm: far below what a tape can tell. */
const CLOSE_ENOUGH = 1e-7;

/**
 * Centre distance at which a loop of this length lies without slack, mm: {@link loopLength} turned round by bisection,
 * since it only grows with C.
 * @returns null when the loop is too short to go round the two wheels at all
 */
export function centresFor(wheels: Wheels, length: number): Mm | null {
  let lo = Math.max(Math.abs(wheels.drive - wheels.nose), CLOSE_ENOUGH);
  let hi = length;
  if (loopLength(wheels, lo) > length) return null;
  while (hi - lo > CLOSE_ENOUGH) {
    const middle = (lo + hi) / 2;
    if (loopLength(wheels, middle) > length) hi = middle;
    else lo = middle;
  }
  return mm((lo + hi) / 2);
}

/** Length of a loop of n drive links at the pitch line, mm: two pitches a link. */
export function lengthOfLinks(links: number, pitch: number): Mm {
  return mm(2 * pitch * links);
}
