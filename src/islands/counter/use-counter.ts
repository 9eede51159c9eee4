import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { CounterAsk, CounterEntry, CounterReply } from '../../contract';
import { api, failure } from '../frame/api';
import { useChanges } from '../frame/live';
import { focusPlace } from '../frame/focus';
import { useFrame } from '../frame/frame-context';
import { useReleased } from '../frame/use-released';
import * as texts from '#language/screens/counter';

/** Waits this long after the last key before it asks. */
const PAUSE_MS = 90;

/** What is known so far, by place of the sheet. */
export type Known = Readonly<Record<string, CounterEntry>>;
export type Kind = CounterAsk['kind'];

interface Draft {
  readonly known: Known;
  readonly kind: Kind;
  readonly inHand: boolean;
  /** The saw it is about, once one was picked. */
  readonly saw: { readonly id: string; readonly label: string; readonly customer: string } | null;
  readonly note: string;
}

const NOTHING: Draft = { known: {}, kind: 'chain', inHand: false, saw: null, note: '' };
const STORED = 'serrata:counter';

/** What was typed outlives a reload of the page. */
function stored(): Draft {
  if (typeof window === 'undefined') return NOTHING;
  try {
    const text = window.sessionStorage.getItem(STORED);
    return text ? { ...NOTHING, ...(JSON.parse(text) as Partial<Draft>) } : NOTHING;
  } catch {
    return NOTHING;
  }
}

/** The counter on this screen: what was typed, and what the server makes of it. */
export interface Counter extends Draft {
  readonly entries: readonly CounterEntry[];
  readonly reply: CounterReply | null;
  /** Why there is no answer; null while there is one. */
  readonly trouble: string | null;
  readonly text: (path: string) => string;
  readonly refused: (path: string) => string | null;
  readonly set: (path: string, text: string) => void;
  readonly setKind: (kind: Kind) => void;
  readonly setInHand: (inHand: boolean) => void;
  readonly recall: (saw: Draft['saw'], entries: readonly CounterEntry[], note: string) => void;
  readonly clear: () => void;
  /** Goes to the field of the next question, as soon as the answer to what stands now is there. */
  readonly goOn: () => void;
}

/** Fields that a question's path begins with: a count asks for the first free one. */
function placeOf(path: string, known: Known): string {
  if (path === 'chain.span') return 'chain.span.rivets';
  if (path !== 'chain.driveLinks') return path;
  return (known['chain.driveLinks.0']?.text ?? '') === '' ? 'chain.driveLinks.0' : 'chain.driveLinks.1';
}

/** Holds a caller's half knowledge and asks, at every change, what it is worth. */
export function useCounter(): Counter {
  const { unit } = useFrame();
  const onceReleased = useReleased();
  const [draft, setDraft] = useState<Draft>(NOTHING);
  const [answered, setAnswered] = useState<{ key: string; reply: CounterReply } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const wantsNext = useRef(false);
  const { known, kind, inHand } = draft;

  // Storage belongs to the browser: what stands in it is taken up once the page is alive.
  useEffect(() => setDraft(stored()), []);

  const entries = useMemo(() => Object.values(known).filter(({ text }) => text.trim() !== ''), [known]);
  const key = JSON.stringify([entries, kind, inHand]);
  const changes = useChanges(['stock', 'rules', 'gear']);

  useEffect(() => {
    let stale = false;
    const timer = setTimeout(() => {
      api.post<CounterReply>('/api/counter/answer', { entries, kind, inHand }).then(
        (reply) =>
          onceReleased(() => {
            if (stale) return;
            setAnswered({ key, reply });
            setTrouble(null);
          }),
        (error: unknown) => onceReleased(() => !stale && setTrouble(failure(error, texts.theCounterDidNotAnswer))),
      );
    }, PAUSE_MS);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
    // The key says all that entries, kind and inHand hold.
  }, [key, changes]);

  const current = answered?.key === key;
  const question = answered?.reply.question ?? null;
  useEffect(() => {
    if (!current || !wantsNext.current) return;
    wantsNext.current = false;
    if (question) focusPlace(placeOf(question.path, known));
  }, [current, question, known]);

  const change = useCallback((next: (before: Draft) => Draft) => {
    setDraft((before) => {
      const after = next(before);
      window.sessionStorage.setItem(STORED, JSON.stringify(after));
      return after;
    });
  }, []);

  return {
    ...draft,
    entries,
    reply: answered?.reply ?? null,
    trouble,
    text: (path) => known[path]?.text ?? '',
    refused: (path) => (current && answered.reply.refused.find((each) => each.path === path)?.message) || null,
    set: (path, text) => change((before) => ({ ...before, known: { ...before.known, [path]: { path, text, unit } } })),
    setKind: (next) => change((before) => ({ ...before, kind: next })),
    setInHand: (next) => change((before) => ({ ...before, inHand: next })),
    recall: (saw, remembered, note) =>
      change((before) => ({
        ...before,
        saw,
        note,
        known: Object.fromEntries(remembered.map((entry) => [entry.path, entry])),
      })),
    clear: () => {
      change(() => NOTHING);
      setTrouble(null);
    },
    goOn: () => {
      if (current && question) focusPlace(placeOf(question.path, known));
      else wantsNext.current = true;
    },
  };
}
