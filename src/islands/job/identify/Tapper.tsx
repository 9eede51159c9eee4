import { useReducer, useState, type KeyboardEvent } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { useKeys, type Keys } from '../../frame/keys';
import { compared, isOdd, NOTHING_COUNTED, tapped, type TapAction } from './tapping';
import * as texts from '#language/screens/job-identify';

interface TapperProps {
  /** Counts made before this one. */
  readonly before: readonly number[];
  readonly onCounted: (count: number) => void;
}

const ACTIONS: Readonly<Record<string, TapAction>> = { ' ': 'tap', Backspace: 'undo', m: 'mark', M: 'mark' };

const KEYS: readonly Keys[] = [{ shown: ['space', 'm', 'backspace'], does: texts.whileCountingLinksCountOne }];

/**
 * Counts links one by one: space or a touch counts, Backspace takes one back, m marks the link it stands on, Enter
 * keeps the count.
 */
export function Tapper({ before, onCounted }: TapperProps) {
  const [{ count, marks }, tap] = useReducer(tapped, NOTHING_COUNTED);
  const [kept, setKept] = useState<ReturnType<typeof compared> | null>(null);
  useKeys(KEYS);
  const keep = () => {
    if (count === 0) return;
    setKept(compared(count, before));
    onCounted(count);
    tap('again');
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const action = ACTIONS[event.key];
    if (action) {
      setKept(null);
      tap(action);
    } else if (event.key === 'Enter') keep();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-2">
        <button
          type="button"
          aria-label={texts.countALinkSoFar(count)}
          onKeyDown={onKeyDown}
          onClick={() => {
            setKept(null);
            tap('tap');
          }}
          className="grid min-h-28 place-items-center rounded-[3px] border-2 border-ink bg-sheet hover:bg-well"
        >
          <span className="figures text-[52px] leading-none font-bold">{count}</span>
          <span className="text-sm text-ink-soft">
            {marks.length > 0 ? texts.markedAt(marks.join(', ')) : texts.spaceOrATouchCounts}
          </span>
        </button>
        <div className="grid gap-1">
          <button type="button" className="quiet" onClick={() => tap('undo')} disabled={count === 0}>
            {texts.oneBack}
          </button>
          <button type="button" className="quiet" onClick={() => tap('mark')} disabled={count === 0}>
            {texts.markLink}
          </button>
          <button type="button" className="act" onClick={keep} disabled={count === 0}>
            {texts.keep(count > 0 ? count : '')}
          </button>
        </div>
      </div>
      <div aria-live="polite">
        {count > 1 && isOdd(count) && <p className="text-sm text-ink-soft">{texts.oddSoFar(count)}</p>}
        {kept?.code === 'first' && <p className="text-sm font-semibold">{texts.keptOnceMore}</p>}
        {kept?.code === 'equal' && <Notice kind="good">{texts.equalCountsSettle(kept.count)}</Notice>}
        {kept?.code === 'differs' && <Notice kind="caution">{texts.countsDisagree(kept.count, kept.before)}</Notice>}
      </div>
    </div>
  );
}
