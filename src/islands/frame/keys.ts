import { useEffect } from 'react';

/** One key and what it does, for the key sheet. */
export interface KeyHelp {
  readonly keys: readonly string[];
  readonly does: string;
}

/** Keys that work in every place. */
export const FRAME_KEYS: readonly KeyHelp[] = [
  { keys: ['/'], does: 'search customers, saws, jobs and parts' },
  { keys: ['g', 'then', 'b'], does: 'go to the Bench' },
  { keys: ['g', 'then', 'c'], does: 'go to the Counter' },
  { keys: ['g', 'then', 's'], does: 'go to Stock' },
  { keys: ['g', 'then', 'o'], does: 'go to Shop' },
  { keys: ['u'], does: 'switch between mm and in' },
  { keys: ['?'], does: 'this sheet' },
  { keys: ['Esc'], does: 'close what is open; leave a field, so that keys are commands again' },
];

/** True when a key press belongs to a field and is no command. */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return (
    target.isContentEditable ||
    (target.matches('input, textarea, select') && !target.matches('[type=radio], [type=checkbox]'))
  );
}

/**
 * Listens for single keys outside fields.
 * @param onKey gets the key and the one before it if that came within a second; returns true when it was a command
 */
export function useKeys(onKey: (key: string, before: string | null) => boolean): void {
  useEffect(() => {
    let last: { key: string; at: number } | null = null;
    const listen = (event: KeyboardEvent) => {
      // A bracket may need AltGr, which some systems report as Ctrl and Alt together.
      const isAltGr = event.getModifierState('AltGraph') || (event.ctrlKey && event.altKey && event.key.length === 1);
      if (!isAltGr && (event.ctrlKey || event.altKey)) return;
      if (event.metaKey || event.defaultPrevented) return;
      if (isTyping(event.target) || document.querySelector('dialog[open]')) return;
      const before = last && event.timeStamp - last.at < 1000 ? last.key : null;
      last = { key: event.key, at: event.timeStamp };
      if (onKey(event.key, before)) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [onKey]);
}

/** Escape leaves a field, as long as no dialog wants it. What was typed is entered by leaving. */
export function useEscapeFromFields(): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || document.querySelector('dialog[open]')) return;
      if (isTyping(event.target)) (event.target as HTMLElement).blur();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
