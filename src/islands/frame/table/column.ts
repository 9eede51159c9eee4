import type { ReactNode } from 'react';

/** One column of a table: what stands in it, and by what its rows are ordered. */
export interface Column<Row> {
  readonly id: string;
  readonly head: string;
  /** What is compared where rows are ordered by it, nothing last; rows are not ordered by what has none. */
  readonly value?: (row: Row) => string | number | null;
  readonly cell: (row: Row) => ReactNode;
  /** Numbers and money stand to the right. */
  readonly isRight?: boolean;
  /** Names the row; it is never hidden. */
  readonly isName?: boolean;
  /** Hidden until somebody chooses it. */
  readonly isExtra?: boolean;
  readonly className?: string;
  /** How wide it is, rem; what names the rows takes the rest. */
  readonly width?: number;
}

/** By which column rows are ordered, and which way. */
export interface Order {
  readonly id: string;
  readonly isDown: boolean;
}

/** The order after a column's head was pressed: up, down, as it came. */
export function nextOrder(order: Order | null, id: string): Order | null {
  if (order?.id !== id) return { id, isDown: false };
  return order.isDown ? null : { id, isDown: true };
}

/** A table of any length. */
export interface LongTableProps<Row> {
  readonly name: string;
  /** Where the choice of its columns is kept. */
  readonly id: string;
  readonly columns: readonly Column<Row>[];
  readonly keyOf: (row: Row) => string;
  /** A row is so high at least, rem; of thousands each is just so high, and what is longer than its cell is cut. */
  readonly rowHeight: number;
  /** The rows that the page came with: the first of all. */
  readonly first: readonly Row[];
  readonly total: number;
  /** How many rows that is, in words. */
  readonly note: string;
  /** Where all rows are fetched, some at a time. */
  readonly address: string;
}
