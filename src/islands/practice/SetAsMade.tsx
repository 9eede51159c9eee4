import { useState } from 'react';
import type { Taken } from '../../core/practice';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { GivenJob } from '../job/store/JobContext';
import { Instrument, INSTRUMENT_TABS, ReadingZone, type InstrumentView } from './instruments';
import { RoundStore } from './round-store';
import { useMeaning } from './use-meaning';
import * as texts from '#language/screens/practice';

const doNothing = () => {};

/** A set as it was made, on the bench's own drawings: for whoever has answered. */
export function SetAsMade({ made, by }: { readonly made: readonly Taken[]; readonly by: string }) {
  const [store] = useState(() => new RoundStore(made, by));
  const value = useMeaning(store, by);
  const [view, setView] = useState<InstrumentView>('measure');
  return (
    <GivenJob store={store} value={value}>
      <Tabbed chosen={view} onChoose={setView}>
        <TabList label={texts.asItWasMade} tabs={INSTRUMENT_TABS} />
        <TabPanel of={view}>
          <ReadingZone store={store} onRead={doNothing} onChosen={doNothing}>
            <Instrument of={view} />
          </ReadingZone>
        </TabPanel>
      </Tabbed>
    </GivenJob>
  );
}
