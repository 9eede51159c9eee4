import { useCallback, useEffect, useState } from 'react';
import { focusPlace } from '../frame/focus';
import type { Target } from './target';

/** How often, and how long after one another, a field is looked for whose view is still being fetched, ms. */
const LOOKS = 40;
const PAUSE = 50;

/** Takes the caret to a field: views open what hides it while rendering, then the caret comes. */
export function useGoTo(): readonly [Target, (path: string, at?: number | null) => void] {
  const [target, setTarget] = useState<Target>({ path: null, at: null, count: 0 });
  useEffect(() => {
    const { path } = target;
    if (path === null) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = (left: number) => {
      if (!focusPlace(path) && left > 0) timer = setTimeout(() => look(left - 1), PAUSE);
    };
    look(LOOKS);
    return () => clearTimeout(timer);
  }, [target]);
  return [target, useCallback((path, at = null) => setTarget(({ count }) => ({ path, at, count: count + 1 })), [])];
}
