import { useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { unpackView, type Sent, type SetUpItem, type SetUpState, type SetUpView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { api, failure } from '../frame/api';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';
import { ServerData, useChangedHere, useServerData } from '../frame/server-data';
import { PART } from './parts';
import * as texts from '#language/screens/set-up';

interface SetUpPageProps {
  readonly sent: Sent<SetUpView>;
  readonly preferences: Preferences;
}

/** What a shop says or brings before its first job: each in its own time, and none of it needed for the first job. */
export function SetUpPage(props: SetUpPageProps) {
  return (
    <ServerData>
      <SetUp {...props} />
    </ServerData>
  );
}

function SetUp({ sent, preferences }: SetUpPageProps) {
  const arrived = useMemo(() => unpackView(sent), [sent]);
  const view = useServerData('/api/set-up', arrived, { shown: ['shop', 'rules', 'stock', 'gear', 'door'] });
  const { items, shop } = view;
  const [chosen, setChosen] = useState<SetUpItem>(() => items.find(({ state }) => state === 'open')?.id ?? 'shop');
  const next = items[items.findIndex(({ id }) => id === chosen) + 1]?.id ?? null;
  const panel = useRef<HTMLDivElement>(null);
  // The button that leads onward is gone with its part: the keys go on where the next one begins.
  const goOn = (to: SetUpItem) => {
    flushSync(() => setChosen(to));
    panel.current?.focus();
  };
  const tabs = items.map(({ id, state }) => ({ id, name: `${texts.itemName[id]} · ${texts.stateWord[state]}` }));
  return (
    <Frame shop={shop} preferences={preferences} place="shop">
      <div className="mb-4 flex flex-wrap items-end gap-x-6 gap-y-2">
        <div>
          <h1 className="text-2xl font-extrabold">{texts.beginAShop}</h1>
          <p className="max-w-prose text-ink-soft">{texts.eachCanBeLeft}</p>
        </div>
        <a className="ml-auto grid act place-items-center" href="/">
          {texts.toTheBench}
        </a>
      </div>
      <Tabbed chosen={chosen} onChoose={setChosen}>
        <TabList label={texts.setUp} tabs={tabs} />
        <TabPanel of={chosen}>
          <div ref={panel} tabIndex={-1} aria-label={texts.itemName[chosen]} role="group" className="pt-4 outline-none">
            <Part
              key={chosen}
              id={chosen}
              view={view}
              next={next}
              onward={next && (() => goOn(next))}
              onSettled={() => panel.current?.focus()}
            />
          </div>
        </TabPanel>
      </Tabbed>
    </Frame>
  );
}

interface PartOfSetUp {
  readonly id: SetUpItem;
  readonly view: SetUpView;
  readonly next: SetUpItem | null;
  readonly onward: (() => void) | null;
  /** The button that settled it is gone: the keys need another place. */
  readonly onSettled: () => void;
}

/** One thing of the set-up, and the way to leave it or to say that it is right. */
function Part({ id, view, next, onward, onSettled }: PartOfSetUp) {
  const changedHere = useChangedHere();
  const [trouble, setTrouble] = useState<string | null>(null);
  const { state } = view.items.find((each) => each.id === id)!;
  const settle = async (next: SetUpState) => {
    try {
      await api.put('/api/set-up', { item: id, state: next });
      await changedHere();
      setTrouble(null);
      return true;
    } catch (error) {
      setTrouble(failure(error, texts.notSettled));
      return false;
    }
  };
  const press = async (next: SetUpState) => void ((await settle(next)) && onSettled());
  const View = PART[id];
  return (
    <>
      <div className="mb-4 flex flex-wrap gap-2">
        {state === 'open' && (id === 'limits' || id === 'rates') && (
          <button type="button" className="quiet" onClick={() => void press('done')}>
            {texts.asTheyStand}
          </button>
        )}
        {state === 'open' && (
          <button type="button" className="quiet" onClick={() => void press('left')}>
            {texts.leaveIt}
          </button>
        )}
        {state === 'left' && (
          <button type="button" className="quiet" onClick={() => void press('open')}>
            {texts.takeItUpAgain}
          </button>
        )}
        {next && onward && (
          <button type="button" className="quiet" onClick={onward}>
            {texts.onward}: {texts.itemName[next]}
          </button>
        )}
      </div>
      {trouble && <Notice kind="error">{trouble}</Notice>}
      <View view={view} onDone={() => settle('done')} />
    </>
  );
}
