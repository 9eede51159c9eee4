import { useCallback, useState } from 'react';
import { estimate, type LengthReading } from '../../../core/quantity';
import { STEP_ROWS, type StepView } from '../../../core/reading';
import { readingAt } from '../../../core/sheet';
import { BarPlan } from '../../../ui/drawings/BarPlan';
import { Tabbed, TabList, TabPanel } from '../../../ui/parts/Tabs';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { useKept } from '../store/use-kept';
import { useTarget } from '../target';
import { later } from '../../frame/later';
import type { StepProps } from '../step-props';
import { WhyButton } from '../why/WhyButton';
import { Measure } from '../bar/Measure';
import { useStations, type Stations } from '../bar/useStations';
import * as texts from '#language/screens/job-bar';

const { View: CaliperPanel } = later(() => import('../../caliper/CaliperPanel').then((there) => there.CaliperPanel));
const { View: LookOver } = later(() => import('../bar/LookOver').then((there) => there.LookOver));
const { View: WhyCrooked } = later(() => import('../bar/WhyCrooked').then((there) => there.WhyCrooked));

type View = StepView<'bar'>;
const VIEWS: Readonly<Record<View, string>> = {
  measure: texts.measure,
  look: texts.lookItOver,
  crooked: texts.whyCrooked,
};

/** Bar: drawn to scale, looked over from tail to nose, and measured at stations on both edges. */
export default function BarStep({ onOpen }: StepProps) {
  const [view, setView] = useState<View>('measure');
  const [caliper, setCaliper] = useState(false);
  const stations = useStations();
  const { select } = stations;
  const onSelect = useCallback<Stations['select']>(
    (edge, key) => {
      setView('measure');
      select(edge, key);
    },
    [select],
  );
  useTarget((path) => setView(readingAt(path)?.told.view === 'look' ? 'look' : 'measure'));
  return (
    <Tabbed chosen={view} onChoose={setView}>
      <div className="mb-1 grid grid-cols-[auto_minmax(0,1fr)_16.5rem] items-center gap-4 max-lg:grid-cols-[auto_minmax(0,1fr)_11.5rem] max-lg:gap-2 max-md:grid-cols-1">
        <div className="flex items-center gap-3">
          <h2 className="text-xl font-extrabold">{texts.bar}</h2>
          <button
            type="button"
            className="quiet px-2.5 aria-pressed:bg-ink aria-pressed:text-sheet"
            aria-pressed={caliper}
            onClick={() => setCaliper(!caliper)}
          >
            {texts.caliper}
          </button>
          <WhyButton onOpen={onOpen} brief />
        </div>
        <TabList label={texts.bar} tabs={STEP_ROWS.bar.views.map((id) => ({ id, name: VIEWS[id] }))} />
        <Plan stations={stations} onSelect={onSelect} />
      </div>
      {caliper && <CaliperPanel onClose={() => setCaliper(false)} />}
      <TabPanel of={view}>
        {view === 'measure' && <Measure stations={stations} />}
        {view === 'look' && <LookOver />}
        {view === 'crooked' && <WhyCrooked />}
      </TabPanel>
    </Tabbed>
  );
}

const value = (reading: LengthReading | undefined): number | null =>
  reading ? (estimate(reading)?.value ?? null) : null;

function Plan({ stations, onSelect }: { stations: Stations; onSelect: Stations['select'] }) {
  const { entered } = useJob();
  const { position } = useFrame();
  const sheet = entered.sheet.bar;
  const positions = (edge: 'A' | 'B') =>
    stations.points[edge].map(({ key, at, near, far }) => ({ key, at, measured: near !== null || far !== null }));
  const places = useKept({ A: positions('A'), B: positions('B') });
  const selected = useKept(stations.selected);
  return (
    <BarPlan
      length={value(sheet?.overallLength)}
      height={value(sheet?.bodyHeight)}
      hardNose={sheet?.nose === 'hard'}
      stations={places}
      selected={selected}
      onSelect={onSelect}
      showPosition={position}
    />
  );
}
