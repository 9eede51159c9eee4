import type { StockPart } from './stock-part';

/** A movement of a part since a list brought it. */
export interface MovedSince {
  readonly kind: string;
  /** Pieces more or fewer. */
  readonly change: number;
}

/** What a list did to a part, how the part stands, and what moved since. */
export interface BroughtPart {
  /** As it stood before; null where the list brought it new. */
  readonly before: StockPart | null;
  readonly after: StockPart;
  readonly now: StockPart;
  readonly since: readonly MovedSince[];
}

/** What undoing makes of a part. */
export interface UndonePart {
  /** As it stands afterwards; null where it leaves the list. */
  readonly part: StockPart | null;
  /** Whether all that the list had changed is as before. */
  readonly isWhole: boolean;
}

const count = (since: readonly MovedSince[], of: string): number => since.filter(({ kind }) => kind === of).length;

/** Whether somebody said since how many there are: by counting, or by another list that was not undone. */
const wasCounted = (since: readonly MovedSince[]): boolean =>
  count(since, 'counted') > 0 || count(since, 'list') > count(since, 'list-undone');

/** Pieces without what the list changed; null where that cannot be told any more. */
function piecesWithout({ before, after, now, since }: BroughtPart & { readonly before: StockPart }): number | null {
  if (before.quantity === after.quantity) return now.quantity;
  if (wasCounted(since)) return null;
  const left = now.quantity - (after.quantity - before.quantity);
  // More was taken since than there would have been: the list was right.
  return left < 0 ? null : left;
}

/**
 * Undoes what a list did to a part and keeps what happened since: pieces that were taken or came stay taken or come,
 * and what somebody wrote since stays written.
 */
export function undonePart(brought: BroughtPart): UndonePart {
  const { before, after, now, since } = brought;
  const fields = Object.keys(now) as (keyof StockPart)[];
  if (before === null) {
    const isUntouched = since.length === 0 && fields.every((field) => now[field] === after[field]);
    return isUntouched ? { part: null, isWhole: true } : { part: now, isWhole: false };
  }
  const changed = fields.filter((field) => field !== 'quantity' && before[field] !== after[field]);
  const kept = changed.filter((field) => now[field] !== after[field]);
  const back = changed.filter((field) => now[field] === after[field]).map((field) => [field, before[field]]);
  const pieces = piecesWithout({ ...brought, before });
  return {
    part: { ...now, ...(Object.fromEntries(back) as Partial<StockPart>), quantity: pieces ?? now.quantity },
    isWhole: kept.length === 0 && pieces !== null,
  };
}
