/** A count in progress: how many links, and after which of them a mark was set. */
export interface Tapping {
  readonly count: number;
  readonly marks: readonly number[];
}

export const NOTHING_COUNTED: Tapping = { count: 0, marks: [] };

export type TapAction = 'tap' | 'undo' | 'mark' | 'again';

/** Most links that a loop on this bench can have. */
const MOST = 400;

/** One key or touch of the tapping counter. Taking a link back takes back a mark that was set on it. */
export function tapped({ count, marks }: Tapping, action: TapAction): Tapping {
  switch (action) {
    case 'tap':
      return { count: Math.min(MOST, count + 1), marks };
    case 'undo':
      return { count: Math.max(0, count - 1), marks: marks.filter((mark) => mark < count) };
    case 'mark':
      return count === 0 || marks.includes(count) ? { count, marks } : { count, marks: [...marks, count] };
    case 'again':
      return NOTHING_COUNTED;
  }
}

/** What a finished count means beside the ones before. */
export type CountVerdict =
  | { readonly code: 'first' }
  | { readonly code: 'equal'; readonly count: number }
  | { readonly code: 'differs'; readonly before: number; readonly count: number };

/** Compares a count with those made before: two equal ones settle it. */
export function compared(count: number, before: readonly number[]): CountVerdict {
  const last = before.at(-1);
  if (last === undefined) return { code: 'first' };
  return before.includes(count) ? { code: 'equal', count } : { code: 'differs', before: last, count };
}

/** An odd count is worth a second look: links and cutters alternate. */
export const isOdd = (count: number): boolean => count % 2 === 1;
