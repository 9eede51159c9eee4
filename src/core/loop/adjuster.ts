import type { Mm } from '../quantity';
import { centresFor, lengthOfLinks, loopLength, type Wheels } from './geometry';

/** The tensioner's travel as centre distances, mm: fully back and fully out. */
export interface Travel {
  readonly back: number;
  readonly out: number;
}

/** Where a loop sits in the tensioner's travel. */
export type AdjusterState =
  /** The loop is shorter than the way round with the tensioner fully back. */
  | 'will-not-go-on'
  | 'in-travel'
  /** The loop is longer than the way round with the tensioner fully out. */
  | 'will-not-take-up';

/** Where a loop puts the tensioner, mm from fully back. `used` below zero or above the travel is outside it. */
export interface AdjusterPosition {
  readonly state: AdjusterState;
  readonly centres: Mm;
  readonly used: number;
  readonly left: number;
}

/**
 * Travel used and left by a loop of n links at its present, elongated pitch.
 * @param pitch mm, as measured
 * @returns null when so short a loop goes round no such wheels
 */
export function adjusterPosition(
  wheels: Wheels,
  travel: Travel,
  links: number,
  pitch: number,
): AdjusterPosition | null {
  const centres = centresFor(wheels, lengthOfLinks(links, pitch));
  if (centres === null) return null;
  const used = centres - travel.back;
  const left = travel.out - centres;
  const state = left < 0 ? 'will-not-take-up' : used < 0 ? 'will-not-go-on' : 'in-travel';
  return { state, centres, used, left };
}

/** Loops whose whole number of links falls inside the tensioner's travel, shortest first. */
export function linksInTravel(wheels: Wheels, travel: Travel, pitch: number): readonly number[] {
  const first = Math.ceil(loopLength(wheels, travel.back) / (2 * pitch) - 1e-9);
  const last = Math.floor(loopLength(wheels, travel.out) / (2 * pitch) + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i);
}
