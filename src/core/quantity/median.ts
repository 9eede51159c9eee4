/**
 * The middle of some values; between the two middle ones of an even number.
 * @param values at least one
 */
export function median(values: readonly number[]): number {
  const sorted = values.toSorted((one, other) => one - other);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** The median distance from the median of a normal, as a share of its standard deviation. */
export const MAD_OF_NORMAL = 0.6745;
