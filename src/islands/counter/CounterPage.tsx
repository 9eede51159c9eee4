import type { ShopView } from '../../contract';
import { Frame } from '../frame/Frame';
import { useKeys, type Keys } from '../frame/keys';
import type { Preferences } from '../frame/preferences';
import { ServerData } from '../frame/server-data';
import { Answer } from './Answer';
import { KeepIt } from './KeepIt';
import { Shelf } from './Shelf';
import { useCounter } from './use-counter';
import { WhatIsKnown } from './WhatIsKnown';
import * as texts from '#language/screens/counter';

const KEYS: readonly Keys[] = [
  { shown: ['Enter'], does: texts.takeTheAnswerAndGo },
  { shown: ['↑', '↓'], does: texts.chooseAmongSaws },
];

/** Counter: half a knowledge in, the next question and the fitting part out. */
export function CounterPage({ shop, preferences }: { shop: ShopView; preferences: Preferences }) {
  return (
    <Frame shop={shop} preferences={preferences} place="counter">
      <ServerData>
        <Counter />
      </ServerData>
    </Frame>
  );
}

function Counter() {
  const counter = useCounter();
  useKeys(KEYS);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-baseline justify-between gap-x-4">
        <h1 className="text-2xl font-extrabold">{texts.counter}</h1>
        <p className="text-sm text-ink-soft">{texts.typeWhatIsKnown}</p>
        <p className="flex flex-wrap gap-x-4 text-sm">
          <a className="grid min-h-11 content-center underline" href="/picture">
            {texts.fromAPicture}
          </a>
          <a className="grid min-h-11 content-center underline" href="/card">
            {texts.cardToSend}
          </a>
        </p>
      </div>
      <div className="grid grid-cols-[minmax(0,27rem)_minmax(0,1fr)] gap-8 max-lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] max-lg:gap-5 max-md:grid-cols-1">
        <div className="max-md:order-2">
          <WhatIsKnown counter={counter} />
        </div>
        <div className="grid content-start gap-4 max-md:contents">
          <div className="max-md:order-1">
            <Answer counter={counter} />
          </div>
          <div className="max-md:order-3">
            <Shelf reply={counter.reply} />
          </div>
          <div className="max-md:order-4">
            <KeepIt counter={counter} />
          </div>
        </div>
      </div>
    </>
  );
}
