import type { KeyboardEvent } from 'react';

const STEPS: Readonly<Record<string, (at: number, count: number) => number>> = {
  ArrowRight: (at, count) => (at + 1) % count,
  ArrowDown: (at, count) => (at + 1) % count,
  ArrowLeft: (at, count) => (at - 1 + count) % count,
  ArrowUp: (at, count) => (at - 1 + count) % count,
  Home: () => 0,
  End: (_at, count) => count - 1,
};

/**
 * Takes the focus to the neighbour in a group at once, for the capture of its keys. The group's own package does so
 * in a later turn of the page: the next key of a quick hand would still be heard where the focus was, and take the
 * wrong word.
 */
export function moveAtOnce(event: KeyboardEvent<HTMLElement>): void {
  const step = STEPS[event.key];
  const isRow = event.currentTarget.getAttribute('aria-orientation') === 'horizontal';
  if (!step || (isRow && /Up|Down/.test(event.key)) || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey)
    return;
  const places = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-radix-collection-item]:not(:disabled)')];
  const at = places.findIndex((place) => place === event.target);
  if (at < 0) return;
  event.preventDefault();
  places[step(at, places.length)]?.focus();
}
