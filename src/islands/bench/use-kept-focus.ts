import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';

/**
 * Keeps the keys on a job that goes to another place of the list while somebody is on it.
 * @param view what the list shows: looked at anew with each
 */
export function useKeptFocus(list: RefObject<HTMLElement | null>, view: unknown): void {
  const on = useRef<string | null>(null);
  useEffect(() => {
    const note = () => {
      const { activeElement } = document;
      on.current = activeElement instanceof HTMLElement ? (activeElement.dataset.job ?? null) : null;
    };
    document.addEventListener('focusin', note);
    return () => document.removeEventListener('focusin', note);
  }, []);
  useLayoutEffect(() => {
    if (on.current === null || document.activeElement !== document.body) return;
    const links = [...(list.current?.querySelectorAll<HTMLElement>('a[data-job]') ?? [])];
    links.find(({ dataset }) => dataset.job === on.current)?.focus();
  }, [list, view]);
}
