import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { keepPreviousData, QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, failure, RequestFailed } from './api';
import { useLive, type About } from './live';
import * as texts from '#language/screens/frame';

const newClient = () =>
  new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 0,
        refetchOnWindowFocus: true,
        retry: (failures, error) => failures < 2 && error instanceof RequestFailed && error.unreachable,
      },
    },
  });

/** Holds what came from the server for everything inside. */
export function ServerData({ children }: { children: ReactNode }) {
  const [client] = useState(newClient);
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

interface Followed {
  /** What the server tells there: it is asked anew when that was changed. */
  readonly shown: readonly About[];
  /** False where the page came with only a part of what the server says there. */
  readonly isWhole?: boolean;
}

/**
 * What the server says at an address. It begins with what the page came with, and follows what is changed elsewhere.
 * @param initial what the page came with
 */
export function useServerData<T>(address: string, initial: T, { shown, isWhole = true }: Followed): T {
  const client = useQueryClient();
  useLive(shown, () => client.invalidateQueries({ queryKey: [address] }, { throwOnError: true }));
  const { data = initial } = useQuery({
    queryKey: [address],
    queryFn: () => api.get<T>(address),
    initialData: initial,
    // What is only a part of it is asked for at once.
    ...(isWhole ? {} : { initialDataUpdatedAt: 0 }),
    // The page is fresh when it arrives; a view that is opened again later is not.
    staleTime: 1000,
  });
  return data;
}

/** Tells everything that shows server data that it was changed here; settles when it is shown anew. */
export function useChangedHere(): () => Promise<void> {
  const client = useQueryClient();
  return useCallback(() => client.invalidateQueries(), [client]);
}

/** Waits this long after the last key before it asks, ms. */
const PAUSE = 120;

/** A text once it has stood still. */
function useSettled(text: string): string {
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text), PAUSE);
    return () => clearTimeout(timer);
  }, [text]);
  return settled;
}

const LEAST_LETTERS = 2;

/** Whether words are enough to ask with. */
export const isAsked = (words: string): boolean => words.trim().length >= LEAST_LETTERS;

/** What was found for words: null while they are still asked for, so that nobody takes what older words found. */
export interface Found<T> {
  readonly items: readonly T[] | null;
  /** What older words found. */
  readonly older: readonly T[];
  readonly trouble: string | null;
}

/** Asks the server as one types. */
export function useFound<T>(words: string, addressOf: (words: string) => string): Found<T> {
  const settled = useSettled(words.trim());
  const asks = settled.length >= LEAST_LETTERS;
  const { data, error, isPlaceholderData } = useQuery({
    queryKey: ['found', addressOf(settled)],
    queryFn: () => api.get<readonly T[]>(addressOf(settled)),
    enabled: asks,
    placeholderData: keepPreviousData,
  });
  if (words.trim().length < LEAST_LETTERS) return { items: [], older: [], trouble: null };
  const older = data ?? [];
  if (settled !== words.trim()) return { items: null, older, trouble: null };
  if (error) return { items: [], older: [], trouble: failure(error, texts.theSearchFailed) };
  return { items: isPlaceholderData || data === undefined ? null : data, older, trouble: null };
}
