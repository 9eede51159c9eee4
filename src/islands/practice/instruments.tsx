import type { ComponentType, ReactNode } from 'react';
import { stationOf } from '../../core/declared';
import type { Step } from '../../core/reading';
import { isReadingPath, readingAt, type ReadingPath } from '../../core/sheet';
import { partName } from '../../wording';
import { LookOver } from '../job/bar/LookOver';
import { Measure } from '../job/bar/Measure';
import { useStations } from '../job/bar/useStations';
import { Cutters } from '../job/chain/Cutters';
import { Shape } from '../job/chain/Shape';
import { Stretch } from '../job/chain/Stretch';
import { Underside } from '../job/chain/Underside';
import { GaugeView } from '../job/identify/GaugeView';
import { LinksView } from '../job/identify/LinksView';
import { MarksView } from '../job/identify/MarksView';
import { PitchView } from '../job/identify/PitchView';
import type { RoundStore } from './round-store';
import { SprocketLook } from './SprocketLook';
import { TestCut } from './TestCut';
import * as bar from '#language/screens/job-bar';
import * as chain from '#language/screens/job-chain';
import * as identify from '#language/screens/job-identify';
import * as prove from '#language/screens/job-prove';
import * as texts from '#language/screens/practice';

const MeasureBar = () => <Measure stations={useStations()} />;

/** The instruments of the bench, as a round offers them. */
const VIEWS = {
  marks: { name: identify.marks, View: MarksView },
  pitch: { name: identify.pitch, View: PitchView },
  gauge: { name: identify.gauge, View: GaugeView },
  links: { name: identify.links, View: LinksView },
  look: { name: `${bar.bar}: ${bar.lookItOver}`, View: LookOver },
  measure: { name: `${bar.bar}: ${bar.measure}`, View: MeasureBar },
  cutters: { name: chain.cutters, View: Cutters },
  shape: { name: chain.shapeAndGauges, View: Shape },
  push: { name: chain.pushAndPull, View: Stretch },
  under: { name: chain.underside, View: Underside },
  sprocket: { name: partName.driveSprocket, View: SprocketLook },
  cut: { name: prove.testCut, View: TestCut },
} as const satisfies Record<string, { name: string; View: ComponentType }>;
export type InstrumentView = keyof typeof VIEWS;

/** Their tabs. */
export const INSTRUMENT_TABS = Object.entries(VIEWS).map(([id, { name }]) => ({ id: id as InstrumentView, name }));

/** The place of the sheet that something on the screen belongs to. */
function placeAt(target: EventTarget): ReadingPath | null {
  const path = target instanceof Element ? target.closest<HTMLElement>('[data-path]')?.dataset.path : undefined;
  return path !== undefined && isReadingPath(path) ? path : null;
}

const isPlace = (path: ReadingPath): boolean => stationOf(path)?.field === 'at';

interface ZoneProps {
  readonly store: RoundStore;
  readonly onRead: (path: ReadingPath) => void;
  readonly onChosen: (path: ReadingPath) => void;
  readonly children: ReactNode;
}

/** Where instruments are worked: Enter in a field that holds nothing reads it; nothing is typed but where one reads. */
export function ReadingZone({ store, onRead, onChosen, children }: ZoneProps) {
  return (
    <div
      data-zone="step"
      role="group"
      aria-label={texts.instruments}
      onFocusCapture={({ target }) => {
        const path = placeAt(target);
        if (path === null || isPlace(path)) return;
        if (target instanceof HTMLInputElement && target.type !== 'checkbox') target.readOnly = true;
        onChosen(path);
      }}
      onKeyDownCapture={(event) => {
        const path = event.target instanceof HTMLInputElement ? placeAt(event.target) : null;
        if (event.key !== 'Enter' || path === null || isPlace(path) || store.isRead(path)) return;
        event.preventDefault();
        event.stopPropagation();
        onRead(path);
      }}
    >
      {children}
    </div>
  );
}

/** The instrument by which a reading is taken, as its declaration says. */
export function viewOf(path: ReadingPath): InstrumentView {
  const { view = null, step } = readingAt(path)!.told;
  if (view !== null && Object.hasOwn(VIEWS, view)) return view as InstrumentView;
  return VIEW_OF_STEP[step ?? 'bar'] ?? 'marks';
}

const VIEW_OF_STEP: Readonly<Partial<Record<Step, InstrumentView>>> = {
  bar: 'measure',
  chain: 'cutters',
  sprocket: 'sprocket',
  prove: 'cut',
};

/** One of the bench's own instruments. */
export function Instrument({ of }: { readonly of: InstrumentView }) {
  const { View } = VIEWS[of];
  return <View />;
}
