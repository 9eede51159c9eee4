import type { Estimate } from '../quantity';

/** Wear in the rivets from the push-and-pull measure. */
export interface Elongation {
  /** Percent of the closed length. */
  readonly percent: number;
  /** Standard uncertainty of the percentage. */
  readonly u: number;
  /** Play per joint, mm. */
  readonly perJoint: number;
}

/**
 * Elongation by push and pull: half the loop pushed closed, then pulled out, `100·(Lp − Lc)/Lc`, and the play per joint `(Lp − Lc)/n`.
 * @param joints joints in the stretch measured, at least 1
 * @example elongation({value: 483.1…}, {value: 489.6…}, 52) // 1.345 %, 0.125 mm
 */
export function elongation(closed: Estimate, pulled: Estimate, joints: number): Elongation {
  const play = pulled.value - closed.value;
  return {
    percent: (100 * play) / closed.value,
    u: (100 * Math.hypot(pulled.u, (closed.u * pulled.value) / closed.value)) / closed.value,
    perJoint: play / joints,
  };
}
