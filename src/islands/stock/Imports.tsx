import { shopMoment, UNNAMED } from '../../wording';
import { useState } from 'react';
import type { StockImportView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { api, failure } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { useChangedHere } from '../frame/server-data';
import * as texts from '#language/screens/stock';

/** What an undoing did. */
export interface Undone {
  readonly restored: number;
  readonly kept: readonly string[];
}

/** Parts that a sentence names. */
const NAMED = 20;

/** What an undoing did, in a sentence; parts changed since are named. */
export function undoneSentence({ restored, kept }: Undone): string {
  const back = texts.partsAreAsBefore(restored);
  if (kept.length === 0) return back;
  const more = kept.length > NAMED ? texts.andMore(kept.length - NAMED) : '';
  return texts.changedSince(back, kept.slice(0, NAMED).join(', '), more);
}

/** Lists taken in lately. Each can be undone as one. */
export function Imports({ imports }: { imports: readonly StockImportView[] }) {
  const { who, shop } = useFrame();
  const changedHere = useChangedHere();
  const [said, setSaid] = useState<{ id: string; text: string; bad: boolean } | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const undo = async (id: string) => {
    setBusy(id);
    try {
      const undone = await api.post<Undone>(`/api/stock/imports/${id}/undo`, { by: who || UNNAMED });
      await changedHere();
      setSaid({ id, text: undoneSentence(undone), bad: false });
    } catch (error) {
      setSaid({ id, text: failure(error, texts.itWasNotUndone), bad: true });
    }
    setBusy(null);
  };
  if (imports.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="mb-1 text-lg font-bold">{texts.listsTakenIn}</h2>
      <ul>
        {imports.map(({ id, name, at, by, parts, undoneAt, undoneBy }) => (
          <li key={id} className="flex flex-wrap items-center gap-3 border-t border-line py-1.5">
            <span className="font-semibold">{name}</span>
            <span className="text-sm text-ink-soft">
              {texts.countOfParts(parts)}, {by}, {shopMoment(at, shop)}
            </span>
            {undoneAt || (said?.id === id && !said.bad) ? (
              <span className="ml-auto text-sm">
                {said?.id === id ? said.text : texts.undoneBy(undoneBy ?? texts.somebody)}
              </span>
            ) : (
              <button type="button" className="ml-auto quiet" disabled={busy !== null} onClick={() => void undo(id)}>
                {busy === id ? texts.undoing : undoneBy ? texts.undoTheRest : texts.undo}
              </button>
            )}
            {said?.id === id && said.bad && <Notice kind="error">{said.text}</Notice>}
          </li>
        ))}
      </ul>
      {said && !said.bad && <Notice kind="good">{texts.undoneShelfIsCurrent}</Notice>}
    </section>
  );
}
