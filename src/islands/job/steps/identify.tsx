import { STEP_ROWS, type StepView } from '../../../core/reading';
import { readingAt } from '../../../core/sheet';
import { useMemo, useState, type ComponentType } from 'react';
import { IdentityFindings } from '../identify/IdentityFindings';
import { NumberCards } from '../identify/NumberCards';
import { MarksView } from '../identify/MarksView';
import { later } from '../../frame/later';
import { StepHead } from '../parts/StepHead';
import { Tabbed, TabList, TabPanel } from '../../../ui/parts/Tabs';
import { useKeys } from '../../frame/keys';
import { useJob } from '../store/JobContext';
import { useTarget } from '../target';
import * as texts from '#language/screens/job-identify';

const { View: EvidenceView } = later(() => import('../identify/EvidenceView').then((there) => there.EvidenceView));
const { View: GaugeView } = later(() => import('../identify/GaugeView').then((there) => there.GaugeView));
const { View: LinksView } = later(() => import('../identify/LinksView').then((there) => there.LinksView));
const { View: LoopView } = later(() => import('../identify/LoopView').then((there) => there.LoopView));
const { View: PitchView } = later(() => import('../identify/PitchView').then((there) => there.PitchView));

/** Ways to a number, in the order a hand tries them; and what they weigh against one another. */
const VIEWS = {
  marks: { name: texts.marks, View: MarksView },
  pitch: { name: texts.pitch, View: PitchView },
  gauge: { name: texts.gauge, View: GaugeView },
  links: { name: texts.links, View: LinksView },
  loop: { name: texts.lengthAndTension, View: LoopView },
  evidence: { name: texts.evidence, View: EvidenceView },
} as const satisfies Record<StepView<'identify'>, { name: string; View: ComponentType }>;
const VIEW_IDS = STEP_ROWS.identify.views;

/** The view that shows a reading, as its declaration says. */
const viewOf = (path: string): StepView<'identify'> =>
  VIEW_IDS.find((id) => id === readingAt(path)?.told.view) ?? 'marks';

/** Identify: the three numbers of the loop, each with the evidence that settles it. */
export default function Identify() {
  const [view, setView] = useState<StepView<'identify'>>('marks');
  useTarget((path) => setView(viewOf(path)));
  useKeys(
    useMemo(() => {
      const go = (step: 1 | -1) => () =>
        setView((now) => VIEW_IDS[(VIEW_IDS.indexOf(now) + step + VIEW_IDS.length) % VIEW_IDS.length]!);
      return [
        { shown: ['['], does: texts.wayBefore, on: '[', act: go(-1) },
        { shown: [']'], does: texts.wayAfter, on: ']', act: go(1) },
      ];
    }, []),
  );
  const { View } = VIEWS[view];
  const { job } = useJob().view;
  return (
    // On a phone what is typed comes before what it comes to.
    <div className="flex flex-col">
      <StepHead title={texts.identifyTheLoop}>
        <p className="text-sm text-ink-soft">{texts.threeNumbersOrderAChain}</p>
      </StepHead>
      <div className="max-md:order-last max-md:mt-3">
        <NumberCards />
        <IdentityFindings />
      </div>
      <Tabbed chosen={view} onChoose={setView}>
        <TabList label={texts.waysToIdentify} tabs={VIEW_IDS.map((id) => ({ id, name: VIEWS[id].name }))} />
        <TabPanel of={view}>
          <View />
          {view === 'pitch' && (
            <a className="mt-2 inline-grid min-h-11 content-center text-sm underline" href={`/picture?job=${job.id}`}>
              {texts.fromAPicture}
            </a>
          )}
        </TabPanel>
      </Tabbed>
    </div>
  );
}
