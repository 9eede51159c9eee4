import { useState } from 'react';
import { missingColumns } from '../../../core/stock';
import { Notice } from '../../../ui/parts/Notice';
import { api, failure } from '../../frame/api';
import { useFrame } from '../../frame/frame-context';
import { UNNAMED } from '../../../wording';
import { useChangedHere } from '../../frame/server-data';
import { undoneSentence, type Undone } from '../Imports';
import type { Progress, TakeIn } from './use-take-in';
import * as texts from '#language/screens/stock-list';

/** The act, its progress, and its undoing. */
export function Act({ takeIn }: { takeIn: TakeIn }) {
  const { judged, comparison, progress, columns } = takeIn;
  const { good, bad } = judged;
  const { who } = useFrame();
  const changedHere = useChangedHere();
  const [undone, setUndone] = useState<string | null>(null);
  const [isUndoing, setIsUndoing] = useState(false);
  const isRunning = progress?.state === 'running';
  const undo = async () => {
    if (!progress) return;
    setIsUndoing(true);
    try {
      const by = who || UNNAMED;
      setUndone(undoneSentence(await api.post<Undone>(`/api/stock/imports/${progress.id}/undo`, { by })));
    } catch (error) {
      setUndone(failure(error, texts.itWasNotUndone));
    }
    setIsUndoing(false);
    await changedHere();
  };
  const isReady = columns !== null && missingColumns(columns).length === 0;
  // Nothing is taken in that was not laid beside the shelf.
  const isCompared = comparison !== null && comparison.compared >= good;
  const losing = comparison?.lost ?? 0;
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3">
      {undone === null && !isRunning && (
        <button
          type="button"
          className="act"
          disabled={!isReady || !isCompared || good === 0}
          onClick={() => void takeIn.takeIn().then(changedHere)}
        >
          {texts.takeRows(good)}
          {losing > 0 && texts.losing(losing)}
        </button>
      )}
      {isRunning && (
        <button type="button" className="quiet" onClick={takeIn.stopHere}>
          {texts.stopHere}
        </button>
      )}
      {bad > 0 && isReady && <span className="text-sm text-ink-soft">{texts.badRowsStay(bad)}</span>}
      {progress && <HowFar progress={progress} />}
      {progress && !isRunning && undone === null && (
        <>
          <button type="button" className="quiet" disabled={isUndoing} onClick={() => void undo()}>
            {isUndoing ? texts.undoing : texts.undoThisList}
          </button>
          <a className="grid quiet place-items-center" href="/stock">
            {texts.showTheShelf}
          </a>
        </>
      )}
      {undone && <Notice kind="good">{undone}</Notice>}
    </div>
  );
}

function HowFar({ progress: { taken, of, state, trouble } }: { progress: Progress }) {
  return (
    <div role="status" className="flex grow items-center gap-3">
      <progress className="h-3 grow accent-pine" value={taken} max={Math.max(1, of)} aria-label={texts.rowsTakenIn} />
      <span className="figures text-sm">{texts.taken(taken, of)}</span>
      {state === 'stopped' && (
        <span className="text-sm font-semibold text-oxide">
          {trouble} {texts.theRestCanBeTaken}
        </span>
      )}
    </div>
  );
}
