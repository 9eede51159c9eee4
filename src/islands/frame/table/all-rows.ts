import { useEffect, useMemo } from 'react';
import { useInfiniteQuery } from '@tanstack/react-query';
import type { RowsView } from '../../../contract';
import { api, failure } from '../api';
import { useLive, type About } from '../live';
import * as texts from '#language/screens/table';

/** What was fetched so long ago is fetched anew when somebody comes back to it, ms. */
const STALE = 20_000;

/** A table longer than this is not fetched anew with every change elsewhere: it would be fetched all day. */
const SHORT = 2000;

/** What a table tells of, by where its rows come from. */
const shownAt = (address: string): readonly About[] => (address.startsWith('/api/stock') ? ['stock'] : ['gear']);

/** All rows of a table, as far as they are here. */
interface AllRows<Row> {
  readonly rows: readonly Row[];
  readonly isWhole: boolean;
  readonly trouble: string | null;
  readonly again: () => void;
}

/**
 * Fetches all rows of a table, some at a time, so that nobody else waits for them.
 * @param first the rows that the page came with, shown until there are more
 */
export function useAllRows<Row>(address: string, first: readonly Row[]): AllRows<Row> {
  const { data, error, hasNextPage, isFetching, isFetchingNextPage, fetchNextPage, refetch } = useInfiniteQuery({
    queryKey: [address, 'rows'],
    queryFn: ({ pageParam }) =>
      api.get<RowsView<Row>>(`${address}${address.includes('?') ? '&' : '?'}from=${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: ({ next }) => next,
    staleTime: STALE,
  });
  useEffect(() => {
    if (hasNextPage && !isFetching && !error) void fetchNextPage();
  }, [hasNextPage, isFetching, error, fetchNextPage]);
  const rows = useMemo(() => data?.pages.flatMap((page) => page.rows) ?? [], [data]);
  useLive(shownAt(address), () => (rows.length <= SHORT ? refetch({ throwOnError: true }) : undefined));
  const isWhole = data !== undefined && !hasNextPage && !isFetchingNextPage;
  return {
    rows: rows.length >= first.length || isWhole ? rows : first,
    isWhole,
    trouble: error ? failure(error, texts.restNotFetched) : null,
    again: () => void fetchNextPage(),
  };
}
