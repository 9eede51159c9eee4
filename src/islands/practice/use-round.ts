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

/** Keeps a round up with what was read of it. One thing is asked for at a time. */
export function useRound(arrived: RoundView, by: string): RoundHere {
  const [view, setView] = useState(arrived);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isBusy, setIsBusy] = useState(false);
  const under = useRef(false);
  const latest = useRef(arrived);
  const ask = useCallback(
    async (what: string, body: object) => {
      if (under.current) return;
      under.current = true;
      setIsBusy(true);
      try {
        latest.current = await api.post<RoundView>(`/api/practice/rounds/${arrived.id}/${what}`, { by, ...body });
        setView(latest.current);
        setTrouble(null);
      } finally {
        under.current = false;
        setIsBusy(false);
      }
    },
    [arrived.id, by],
  );
  const say = useCallback((error: unknown) => setTrouble(failure(error, texts.notAsked)), []);
  const read = useCallback(
    (question: Question) => ask('readings', { before: latest.current.taken.length, ...question }).catch(say),
    [ask, say],
  );
  const hint = useCallback(() => ask('hints', { before: latest.current.hints.length }).catch(say), [ask, say]);
  const answer = useCallback((said: Omit<PracticeAnswer, 'by'>) => ask('answer', said), [ask]);
  return useMemo(() => ({ view, trouble, isBusy, read, hint, answer }), [view, trouble, isBusy, read, hint, answer]);
}
