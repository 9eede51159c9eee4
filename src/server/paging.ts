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
