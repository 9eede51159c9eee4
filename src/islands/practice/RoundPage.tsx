import { useState } from 'react';
import { unpackView, type HintView, type RoundPageView, type RoundView, type Sent } from '../../contract';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import { later } from '../frame/later';
import type { Preferences } from '../frame/preferences';
import { UNNAMED } from '../../wording';
import { Review } from './Review';
import { WhatIsKnown } from './WhatIsKnown';
import { useRound } from './use-round';
import * as texts from '#language/screens/practice';

/** All that a set is read with: the bench's own instruments, fetched beside the page. */
const { View: RoundBench } = later(() => import('./RoundBench').then((there) => there.RoundBench));

interface RoundPageProps {
  readonly sent: Sent<RoundPageView>;
  readonly preferences: Preferences;
}

/** One set of practice: read, answered, and looked back on. */
export function RoundPage({ sent, preferences }: RoundPageProps) {
  const [view] = useState(() => unpackView(sent));
  return (
    <Frame shop={view.shop} preferences={preferences} place="practice">
      <Round arrived={view.round} isPaperDone={view.paper.length > 0} />
    </Frame>
  );
}

function Round({ arrived, isPaperDone }: { readonly arrived: RoundView; readonly isPaperDone: boolean }) {
  const by = useFrame().who || UNNAMED;
  const round = useRound(arrived, by);
  const { view } = round;
  const [hint, setHint] = useState<HintView | null>(null);
  if (view.isAnswered)
    return <Review view={view} by={by} isPaperDone={isPaperDone || view.review !== null} isFresh={view !== arrived} />;
  return (
    <>
      <h1 className="sr-only">
        {texts.round}: {texts.roundOf(view.place, view.of)}
      </h1>
      <div className="grid grid-cols-[minmax(0,1fr)_17rem] gap-5 max-lg:grid-cols-1">
        <WhatIsKnown round={round} onFollow={(given) => setHint({ ...given })} />
        <div className="min-w-0 max-lg:order-last lg:order-first">
          <RoundBench round={round} by={by} hint={hint} />
        </div>
      </div>
    </>
  );
}
