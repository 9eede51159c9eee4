import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { Here } from '../../../contract';
import { api, mayRetry } from '../api';
import { isAbout, live, type About } from './live';
import { Looking } from './looking';

/** Changes that come together are looked at together; many pages do not all ask in the same moment, ms. */
const TOGETHER_MS = 50;
const APART_MS = 200;

/**
 * Does something when what is shown was changed elsewhere; on a page that nobody sees, when it is seen again.
 * @param shown what the page shows
 * @param onChange settles when what changed is shown; it is not done twice at once, and is done again where it failed
 */
export function useLive(shown: readonly About[], onChange: () => unknown): void {
  const latest = useRef(onChange);
  useEffect(() => void (latest.current = onChange));
  const about = JSON.stringify(shown);
  useEffect(() => {
    const own = JSON.parse(about) as readonly About[];
    const looking = new Looking(() => latest.current(), mayRetry);
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isOwed = false;
    const look = () => {
      timer = undefined;
      isOwed = document.visibilityState === 'hidden';
      if (!isOwed) looking.again();
    };
    const leave = live.onChanged((changes) => {
      if (changes && !changes.some((change) => isAbout(change, own))) return;
      timer ??= setTimeout(look, TOGETHER_MS + Math.random() * APART_MS);
    });
    const seen = () => isOwed && look();
    document.addEventListener('visibilitychange', seen);
    return () => {
      leave();
      looking.end();
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [about]);
}

/** Counts the changes of what is shown, for what is to be asked anew with each. */
export function useChanges(shown: readonly About[]): number {
  const [count, setCount] = useState(0);
  useLive(shown, () => setCount((before) => before + 1));
  return count;
}

/**
 * What the server says at an address, asked anew when what it tells was changed.
 * @param arrived what the page came with
 */
export function useLiveView<T>(address: string, arrived: T, shown: readonly About[]): T {
  const [view, setView] = useState(arrived);
  useLive(shown, async () => setView(await api.get<T>(address)));
  return view;
}

const NOBODY: ReadonlyMap<string, Here> = new Map();

/** Everybody who is at a job, but for whoever is at this page. */
export function useOthers(): readonly Here[] {
  const all = useSyncExternalStore(live.onPresent, live.here, () => NOBODY);
  return [...all.values()].filter((each) => !live.isOwn(each));
}
