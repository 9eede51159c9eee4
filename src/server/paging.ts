import type { RowsView } from '../contract';

/** One page of a list. */
export interface Paging {
  readonly page: number;
  readonly pages: number;
  readonly limit: number;
  readonly offset: number;
}

/**
 * The page that was asked for, as far as there is one: anything else than a number is the first, and beyond the last is
 * the last.
 * @param asked as it stands in an address
 * @param size rows on a page
 */
export function paging(asked: string | null, total: number, size: number): Paging {
  const pages = Math.max(1, Math.ceil(total / size));
  const wanted = Math.floor(Number(asked ?? 1));
  const page = Number.isNaN(wanted) ? 1 : Math.min(pages, Math.max(1, wanted));
  return { page, pages, limit: size, offset: (page - 1) * size };
}

/** Rows of a long table that are answered at once: more would keep others waiting. */
const ROWS_AT_ONCE = 1000;

/**
 * Some rows of a long table.
 * @param asked how many rows go before them, as it stands in an address; what is no count is none
 */
export async function rowsFrom<Row>(
  asked: string | null,
  list: (page: { readonly limit: number; readonly offset: number }) => Promise<readonly Row[]>,
): Promise<RowsView<Row>> {
  const offset = asked !== null && /^\d{1,9}$/.test(asked) ? Number(asked) : 0;
  // One more tells whether there are others.
  const found = await list({ limit: ROWS_AT_ONCE + 1, offset });
  const rows = found.slice(0, ROWS_AT_ONCE);
  return { rows, next: found.length > ROWS_AT_ONCE ? offset + ROWS_AT_ONCE : null };
}
