import { useEffect, useRef } from 'react';
import * as texts from '#language/screens/frame';

/** Keys and what they do: said in the sheet of keys, and answered here where no field answers them itself. */
export interface Keys {
  /** As they are printed: `g`, `then`, `b`. */
  readonly shown: readonly string[];
  readonly does: string;
  /** True for keys of the frame, which work in every place. */
  readonly everywhere?: boolean;
  /** True where they work while a field has the caret, too. */
  readonly inFields?: boolean;
  /** The one key that is answered by the act; neither where a field or a control answers its keys itself. */
  readonly on?: string;
  readonly act?: () => void;
  /**
   * Answers keys that are not one alone.
   * @param before the key before this one, if that came within a second
   * @returns true when the key was meant
   */
  readonly answer?: (key: string, before: string | null) => boolean;
}

/** What is registered of one part of the screen. */
interface Registered {
  keys: readonly Keys[];
}

/** Keys of all that is on the screen, in the order it came there. */
const registry: Registered[] = [];

/** All keys that work now, for the sheet that `?` opens. */
export const keysNow = (): readonly Keys[] => registry.flatMap(({ keys }) => keys);

/** True when a key press belongs to a field and is no command. */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return (
    target.isContentEditable ||
    (target.matches('input, textarea, select') && !target.matches('[type=radio], [type=checkbox]'))
  );
}

/** How long a key counts as the one before the next, ms. */
const TOGETHER = 1000;
let last: { readonly key: string; readonly at: number } | null = null;

/**
 * A key with Ctrl, Alt or Meta is the browser's; but a bracket may need AltGr, which some systems report as Ctrl and
 * Alt together.
 */
function isBrowsers(event: KeyboardEvent): boolean {
  const isAltGr = event.getModifierState('AltGraph') || (event.ctrlKey && event.altKey && event.key.length === 1);
  return event.metaKey || (!isAltGr && (event.ctrlKey || event.altKey));
}

function listen(event: KeyboardEvent): void {
  if (isBrowsers(event) || event.defaultPrevented || document.querySelector('dialog[open]')) return;
  const typing = isTyping(event.target);
  const before = last && event.timeStamp - last.at < TOGETHER ? last.key : null;
  if (!typing) last = { key: event.key, at: event.timeStamp };
  // What came to the screen last is asked first: a view before its page.
  const asked = [...registry].reverse().flatMap(({ keys }) => keys);
  const isAnswered = asked.some(
    (keys) => (keys.inFields || !typing) && answers(keys, event.key, typing ? null : before),
  );
  if (isAnswered) event.preventDefault();
}

function answers({ on, act, answer }: Keys, key: string, before: string | null): boolean {
  if (on === undefined) return answer?.(key, before) ?? false;
  if (on === key) act?.();
  return on === key;
}

/**
 * Registers keys for as long as the calling part is on the screen: they are answered, and stand in the sheet of keys.
 */
export function useKeys(keys: readonly Keys[]): void {
  const mine = useRef<Registered>({ keys });
  useEffect(() => {
    mine.current.keys = keys;
  }, [keys]);
  useEffect(() => {
    const registered = mine.current;
    if (registry.length === 0) window.addEventListener('keydown', listen);
    registry.push(registered);
    return () => {
      registry.splice(registry.indexOf(registered), 1);
      if (registry.length === 0) window.removeEventListener('keydown', listen);
    };
  }, []);
}

/** Escape leaves a field. What was typed is entered by leaving. */
function leaveField(): void {
  if (isTyping(document.activeElement)) (document.activeElement as HTMLElement).blur();
}

/** Keys of the frame itself. */
export const FRAME_KEYS: readonly Keys[] = [
  {
    shown: ['Esc'],
    does: texts.closeWhatIsOpen,
    everywhere: true,
    inFields: true,
    on: 'Escape',
    act: leaveField,
  },
];
