import {
  useCallback,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ComponentType,
  type ReactNode,
} from 'react';
import { DEFAULT_RULES } from '../../core/assess';
import { stationOf } from '../../core/declared';
import type { Taken } from '../../core/practice';
import type { Step } from '../../core/reading';
import { beginOf, isReadingPath, readingAt, type ReadingPath } from '../../core/sheet';
import type { HintView, ShopView } from '../../contract';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { partName } from '../../wording';
import { useFrame } from '../frame/frame-context';
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
import { GivenJob, type JobValue } from '../job/store/JobContext';
import { meaningOf } from '../job/store/meaning';
import { TargetContext } from '../job/target';
import { toolFor, useToolsInHand } from '../job/tools/tool-in-hand';
import { useGoTo } from '../job/use-go-to';
import { AnswerForm, NOTHING_SAID } from './AnswerForm';
import { ReadBar } from './ReadBar';
import { RoundStore } from './round-store';
import { silent } from './silent';
import { SprocketLook } from './SprocketLook';
import { TestCut } from './TestCut';
import type { RoundHere } from './use-round';
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
type ViewId = keyof typeof VIEWS | 'answer';
const INSTRUMENT_TABS = Object.entries(VIEWS).map(([id, { name }]) => ({ id: id as keyof typeof VIEWS, name }));

/** A job as the instruments need one: of nobody, and with nothing of the shop's but how it writes. */
const jobOfNobody = (shop: ShopView): JobValue['view'] => ({
  ...{ shop, limits: DEFAULT_RULES.limits, codes: [], schools: DEFAULT_RULES.schools, studies: [] },
  job: { id: 'practice', tag: texts.practice, state: 'open', promisedFor: null, createdAt: '', createdBy: '' },
  customer: { id: '', name: texts.practice, contact: '' },
  ...{
    saw: null,
    readings: [],
    rulesMark: '',
    rulesAsOf: null,
    turnOvers: [],
    photos: [],
    choices: null,
    signOffs: [],
  },
});

const NONE = { standing: new Map(), drafts: new Map() } as const;

/** What readings of a set mean, as far as a learner is told. */
function useMeaning(store: RoundStore, by: string): JobValue {
  const { shop } = useFrame();
  const snapshot = useSyncExternalStore(store.subscribe, store.getSnapshot, store.getSnapshot);
  const job = useMemo(() => jobOfNobody(shop), [shop]);
  const nothing = useMemo(() => meaningOf({ ...NONE, view: job, who: by }), [job, by]);
  return useMemo<JobValue>(() => {
    const { entered, appraisal } = meaningOf({
      standing: snapshot.standing,
      drafts: snapshot.drafts,
      view: job,
      who: by,
    });
    return {
      ...nothing,
      ...{ view: job, snapshot, signedOff: false, entered },
      appraisal: silent(appraisal, nothing.appraisal),
    };
  }, [snapshot, job, by, nothing]);
}

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
function ReadingZone({ store, onRead, onChosen, children }: ZoneProps) {
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
function viewOf(path: ReadingPath): keyof typeof VIEWS {
  const { view = null, step } = readingAt(path)!.told;
  if (view !== null && Object.hasOwn(VIEWS, view)) return view as keyof typeof VIEWS;
  return VIEW_OF_STEP[step ?? 'bar'] ?? 'marks';
}

const VIEW_OF_STEP: Readonly<Partial<Record<Step, keyof typeof VIEWS>>> = {
  bar: 'measure',
  chain: 'cutters',
  sprocket: 'sprocket',
  prove: 'cut',
};

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

/** A set as it was made, on the bench's own drawings: for whoever has answered. */
export function SetAsMade({ made, by }: { readonly made: readonly Taken[]; readonly by: string }) {
  const [store] = useState(() => new RoundStore(made, by));
  const value = useMeaning(store, by);
  const [view, setView] = useState<keyof typeof VIEWS>('measure');
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

const doNothing = () => {};

function Instrument({ of }: { readonly of: keyof typeof VIEWS }) {
  const { View } = VIEWS[of];
  return <View />;
}
