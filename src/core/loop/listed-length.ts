import { inches, mm, toInches, type Mm } from '../quantity';

/**
 * How far above an even inch a bar may stand and still be sold as that inch by some: 3/8 in (common practice, no
 * source).
 */
export const ROUNDED_DOWN_WITHIN = 0.375;

/** Reading a rule to a sixteenth: a bar this little above an even inch still is that inch. */
const READING_SLACK = 1 / 32;

/** A listed length that an effective length may be sold under. */
export interface ListedLength {
  readonly inches: number;
  /** `up`: next even inch, the usual custom. `down`: the even inch just below. `odd`: the odd inch, listed by some. */
  readonly custom: 'up' | 'down' | 'odd';
}

/**
 * The lengths a bar may be listed as: the next even inch up; within 3/8 in above an even inch that one first; and the
 * odd inch that some list there.
 * @param effective front of the side cover to the tip, chain tensioned
 * @example listedLengths(inches(20.125)) // 20 (down), 22 (up), 21 (odd)
 */
export function listedLengths(effective: Mm): readonly ListedLength[] {
  const length = toInches(effective);
  const below = 2 * Math.floor((length + READING_SLACK) / 2);
  const over = length - below;
  if (over <= READING_SLACK) return [{ inches: below, custom: 'up' }];
  const up: ListedLength = { inches: below + 2, custom: 'up' };
  if (over > ROUNDED_DOWN_WITHIN + READING_SLACK) return [up];
  return [{ inches: below, custom: 'down' }, up, { inches: below + 1, custom: 'odd' }];
}

/** Effective lengths that may be sold under a listed length, mm: from the even inch below up to 3/8 in above. */
export function effectiveRange(listed: Mm): { readonly lo: Mm; readonly hi: Mm } {
  const whole = toInches(listed);
  const lo = Math.round(whole) % 2 === 0 ? whole - 2 : whole - 1;
  return { lo: inches(lo), hi: mm(listed + inches(ROUNDED_DOWN_WITHIN)) };
}

/** Whether an effective length can be sold under a listed one by any of the customs. */
export function listedAgrees(listed: Mm, effective: Mm): boolean {
  const { lo, hi } = effectiveRange(listed);
  const slack = inches(READING_SLACK);
  return effective > lo - slack && effective <= hi + slack;
}
