import { useCallback, useMemo, useRef, useState } from 'react';
import type { PracticeAnswer, RoundView } from '../../contract';
import type { Question } from '../../core/practice';
import { api, failure } from '../frame/api';
import * as texts from '#language/screens/practice';

/** A round on this screen, and what can be done in it. */
export interface RoundHere {
  readonly view: RoundView;
  /** Why the last thing that was asked for was not had; null where it was. */
  readonly trouble: string | null;
  /** Whether an answer is on its way. */
  readonly isBusy: boolean;
  /** Reads a place of the set. */
  readonly read: (question: Question) => Promise<void>;
  readonly hint: () => Promise<void>;
  /** Gives the answer; throws where it was not taken. */
  readonly answer: (said: Omit<PracticeAnswer, 'by'>) => Promise<void>;
}

/** Keeps a round up with what was read of it. One thing is asked for at a time; the same one not twice. */
export function useRound(arrived: RoundView, by: string): RoundHere {
  const [view, setView] = useState(arrived);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isBusy, setIsBusy] = useState(false);
  const waiting = useRef(new Set<string>());
  const last = useRef<Promise<unknown>>(Promise.resolve());
  const latest = useRef(arrived);
  const send = useCallback(
    async (what: string, body: object) => {
      latest.current = await api.post<RoundView>(`/api/practice/rounds/${arrived.id}/${what}`, { by, ...body });
      setView(latest.current);
      setTrouble(null);
    },
    [arrived.id, by],
  );
  const ask = useCallback(
    async (what: string, key: string, body: () => object) => {
      if (waiting.current.has(key)) return;
      waiting.current.add(key);
      setIsBusy(true);
      // What is asked for meanwhile waits its turn; that one failed keeps nothing else from being asked.
      const turn = last.current.then(() => send(what, body()));
      last.current = turn.catch(() => {});
      try {
        await turn;
      } finally {
        waiting.current.delete(key);
        setIsBusy(waiting.current.size > 0);
      }
    },
    [send],
  );
  const say = useCallback((error: unknown) => setTrouble(failure(error, texts.notAsked)), []);
  const read = useCallback(
    (question: Question) =>
      ask('readings', question.path, () => ({ before: latest.current.taken.length, ...question })).catch(say),
    [ask, say],
  );
  const hint = useCallback(
    () => ask('hints', 'hint', () => ({ before: latest.current.hints.length })).catch(say),
    [ask, say],
  );
  const answer = useCallback((said: Omit<PracticeAnswer, 'by'>) => ask('answer', 'answer', () => said), [ask]);
  return useMemo(() => ({ view, trouble, isBusy, read, hint, answer }), [view, trouble, isBusy, read, hint, answer]);
}
