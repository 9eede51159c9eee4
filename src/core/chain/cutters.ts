import { mm, type Estimate } from '../quantity';

export type Side = 'left' | 'right';

/** Damage that must be filed back: on which cutter (numbered from 1), and how far. */
export interface Damage {
  readonly side: Side;
  readonly cutter: number;
  readonly setBack: Estimate;
}

/** The cutter that pulls everyone back, and how long all will be. */
export interface Correction {
  readonly side: Side;
  readonly cutter: number;
  readonly length: Estimate;
}

/**
 * Length all cutters must be filed to: the least of (length − set-back). Damage on a cutter whose length was not measured is taken off the
 * shortest of its side, the cautious reading.
 * @returns null when no cutter was measured
 */
export function lengthAfterCorrection(
  cutters: Readonly<Record<Side, readonly Estimate[]>>,
  damage: readonly Damage[],
): Correction | null {
  const standing = (['left', 'right'] as const).flatMap((side) =>
    cutters[side].map((length, i): Correction => ({ side, cutter: i + 1, length })),
  );
  const filed = damage.flatMap(({ side, cutter, setBack }): Correction[] => {
    const length = cutters[side][cutter - 1] ?? shortest(cutters[side]);
    return length
      ? [{ side, cutter, length: { value: mm(length.value - setBack.value), u: Math.hypot(length.u, setBack.u) } }]
      : [];
  });
  return [...standing, ...filed].reduce<Correction | null>(
    (least, next) => (least && least.length.value <= next.length.value ? least : next),
    null,
  );
}

function shortest(lengths: readonly Estimate[]): Estimate | null {
  return lengths.reduce<Estimate | null>((least, next) => (least && least.value <= next.value ? least : next), null);
}

/** Whole filings before the limit: `(length − limit)/loss per filing`, never below 0. */
export function filingsLeft(length: number, limit: number, lossPerFiling: number): number {
  return Math.max(0, Math.floor((length - limit) / lossPerFiling + 1e-9));
}

/** Difference of the mean lengths, left less right, mm; null unless both sides were measured. */
export function imbalance(cutters: Readonly<Record<Side, readonly Estimate[]>>): Estimate | null {
  const means = (['left', 'right'] as const).map((side) => {
    const lengths = cutters[side];
    if (lengths.length === 0) return null;
    const value = lengths.reduce((sum, each) => sum + each.value, 0) / lengths.length;
    return { value, u: Math.sqrt(lengths.reduce((sum, each) => sum + each.u ** 2, 0)) / lengths.length };
  });
  const [left, right] = means;
  return left && right ? { value: mm(left.value - right.value), u: Math.hypot(left.u, right.u) } : null;
}
