import { useCallback, useEffect, useState } from 'react';
import { stationOf } from '../../core/declared';
import { beginOf, type ReadingPath } from '../../core/sheet';
import type { HintView } from '../../contract';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { GivenJob } from '../job/store/JobContext';
import { TargetContext } from '../job/target';
import { toolFor, useToolsInHand } from '../job/tools/tool-in-hand';
import { useGoTo } from '../job/use-go-to';
import { AnswerForm, NOTHING_SAID } from './AnswerForm';
import { Instrument, INSTRUMENT_TABS, ReadingZone, viewOf, type InstrumentView } from './instruments';
import { ReadBar } from './ReadBar';
import { RoundStore } from './round-store';
import { useMeaning } from './use-meaning';
import type { RoundHere } from './use-round';
import * as texts from '#language/screens/practice';

type ViewId = InstrumentView | 'answer';
/** The store of a round, and how a place of it is read. */
function useReading(round: RoundHere, by: string) {
  const tools = useToolsInHand();
  const { view, read } = round;
  const [store] = useState(() => new RoundStore(view.taken, by));
  useEffect(() => store.takeIn(view.taken), [store, view.taken]);
  const ask = useCallback(
    (path: ReadingPath) => read({ path, at: store.placeOf(path), instrument: toolFor(path, tools) }),
    [read, store, tools],
  );
  useEffect(() => store.askOf(ask), [store, ask]);
  return { store, ask };
}

interface RoundBenchProps {
  readonly round: RoundHere;
  readonly by: string;
  /** What a hint leads to; null before one is followed. */
  readonly hint: HintView | null;
}

const NO_HINT = { measure: null, at: null } as const;

/** The way to the field that a hint names: its instrument opens, and the caret comes. */
function useFollow(hint: HintView | null, store: RoundStore, open: (view: ViewId) => void) {
  const [target, goTo] = useGoTo();
  useEffect(() => {
    const { measure, at } = hint ?? NO_HINT;
    if (measure === null) return;
    const station = stationOf(measure);
    const path = station && at !== null ? store.pathAt(station, at) : beginOf(measure);
    open(viewOf(path));
    goTo(path, at);
    // A hint that is followed once more is another object.
  }, [hint, store, open, goTo]);
  return target;
}

/** The instruments of the bench on a set of practice, and the answer. */
export function RoundBench({ round, by, hint }: RoundBenchProps) {
  const { store, ask } = useReading(round, by);
  const value = useMeaning(store, by);
  const [view, setView] = useState<ViewId>(round.view.kind === 'first' ? 'marks' : 'look');
  const [chosen, setChosen] = useState<ReadingPath | null>(null);
  const [said, setSaid] = useState(NOTHING_SAID);
  const open = useCallback((next: ViewId) => {
    setView(next);
    setChosen(null);
  }, []);
  const target = useFollow(hint, store, open);
  return (
    <GivenJob store={store} value={value}>
      <h2 className="sr-only">{texts.instruments}</h2>
      <TargetContext value={target}>
        <Tabbed chosen={view} onChoose={open}>
          <TabList label={texts.instruments} tabs={[...INSTRUMENT_TABS, { id: 'answer', name: texts.answerTab }]} />
          <TabPanel of={view}>
            {view === 'answer' ? (
              <AnswerForm round={round} said={said} onSay={setSaid} />
            ) : (
              <ReadingZone store={store} onRead={(path) => void ask(path)} onChosen={setChosen}>
                <Instrument of={view} />
              </ReadingZone>
            )}
          </TabPanel>
        </Tabbed>
      </TargetContext>
      {view !== 'answer' && (
        <ReadBar round={round} path={chosen} isRead={chosen !== null && store.isRead(chosen)} onRead={ask} />
      )}
    </GivenJob>
  );
}
