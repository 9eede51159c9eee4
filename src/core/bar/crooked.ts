import type { Degrees } from '../quantity';

/** What can make a saw cut in a curve. */
export const CROOKED_CAUSES = ['lean', 'play', 'cutters'] as const;
export type CrookedCause = (typeof CROOKED_CAUSES)[number];

/** How one cause stands: found with its figure, looked for and not found, or not measured. */
export interface CauseFinding {
  readonly cause: CrookedCause;
  readonly state: 'found' | 'sound' | 'not-measured';
  /** Lean in degrees, play in mm, difference of the cutters in mm. */
  readonly value: number | null;
  /** Where it begins to count. */
  readonly limit: number | null;
  /** The side the cut is drawn to, seen along the saw; null where the cause has none. */
  readonly toward: 'left' | 'right' | null;
  /** How much of the complaint it may explain, 0…1 over all that was found. */
  readonly weight: number;
  /** True when it only makes another cause worse. */
  readonly aggravates: boolean;
}

/** What is known of the three causes. */
export interface CrookedEvidence {
  /** Mean set lean of the edge that was down, positive to the far side; null when not measured. */
  readonly lean: Degrees | null;
  /** Lean from which it is counted, degrees. */
  readonly leanLimit: number;
  readonly play: number | null;
  readonly playLimit: number;
  /** Mean left less mean right cutter length, mm. */
  readonly cutters: number | null;
  readonly cuttersLimit: number;
  /** True where the shop counts uneven cutters as a cause of their own beside an unsound bar. */
  readonly cuttersToo: boolean;
  /** True when the stamped side was to the right of the operator, as with edge A down. */
  readonly nearIsRight: boolean;
}

const share = (value: number, limit: number): number => Math.abs(value) / Math.max(limit, 1e-9);

/**
 * Lean, play and cutters side by side. The bar comes first; the cutters count as a cause of their own only when the bar measures sound, and
 * as an aggravator always, unless the shop is of the other school. Practitioners disagree on this: both schools are named where it is shown.
 */
export function crookedCauses(evidence: CrookedEvidence): readonly CauseFinding[] {
  const { lean, leanLimit, play, playLimit, cutters, cuttersLimit, cuttersToo, nearIsRight } = evidence;
  const leaning = lean !== null && Math.abs(lean) > leanLimit;
  const loose = play !== null && play > playLimit;
  const uneven = cutters !== null && Math.abs(cutters) > cuttersLimit;
  const barSound = !leaning && !loose;
  const strength = {
    lean: leaning ? share(lean, leanLimit) : 0,
    play: loose ? share(play, playLimit) : 0,
    cutters: uneven && (barSound || cuttersToo) ? share(cutters, cuttersLimit) : 0,
  };
  const all = strength.lean + strength.play + strength.cutters;
  const finding = (
    cause: CrookedCause,
    found: boolean,
    value: number | null,
    limit: number,
    toward: CauseFinding['toward'],
  ): CauseFinding => ({
    cause,
    state: value === null ? 'not-measured' : found ? 'found' : 'sound',
    value,
    limit,
    toward: found ? toward : null,
    weight: all === 0 ? 0 : strength[cause] / all,
    aggravates: found && strength[cause] === 0,
  });
  const farSide = nearIsRight ? 'left' : 'right';
  const nearSide = nearIsRight ? 'right' : 'left';
  return [
    // A link that leans to the far side steers the cut that way.
    finding('lean', leaning, lean, leanLimit, lean === null ? null : lean > 0 ? farSide : nearSide),
    finding('play', loose, play, playLimit, null),
    // Longer cutters stand higher and cut more: the cut runs to their side.
    finding('cutters', uneven, cutters, cuttersLimit, cutters === null ? null : cutters > 0 ? 'left' : 'right'),
  ];
}
