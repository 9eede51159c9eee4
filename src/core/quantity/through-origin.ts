/** What a line through the origin is fitted from: how many points, and the sums of x², xy and y². */
export interface OriginSums {
  readonly n: number;
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

/** A line through the origin. */
export interface ThroughOrigin {
  readonly slope: number;
  /** Standard deviation of the slope; null where one point alone leaves no scatter to tell it by. */
  readonly u: number | null;
  /** Standard deviation of what the line leaves over, with n − 1 degrees of freedom. */
  readonly residual: number | null;
}

/** Sums of points: what was foreseen, x, and what was found, y, in any unit. */
export const originSums = (points: readonly { readonly x: number; readonly y: number }[]): OriginSums =>
  points.reduce(({ n, xx, xy, yy }, { x, y }) => ({ n: n + 1, xx: xx + x * x, xy: xy + x * y, yy: yy + y * y }), {
    n: 0,
    xx: 0,
    xy: 0,
    yy: 0,
  });

/**
 * Least squares through the origin: `b = Σxy/Σx²`, its standard deviation from what is left over with n − 1 degrees of
 * freedom (NIST StRD, problems NoInt1 and NoInt2).
 * @returns null where no x is other than 0
 */
export function throughOrigin({ n, xx, xy, yy }: OriginSums): ThroughOrigin | null {
  if (xx === 0) return null;
  const slope = xy / xx;
  if (n < 2) return { slope, u: null, residual: null };
  const residual = Math.sqrt(Math.max(0, yy - slope * xy) / (n - 1));
  return { slope, u: residual / Math.sqrt(xx), residual };
}
