import { useState, type ComponentType } from 'react';
import { STEP_ROWS, type StepView } from '../../../core/reading';
import { readingAt } from '../../../core/sheet';
import { Tabbed, TabList, TabPanel } from '../../../ui/parts/Tabs';
import { later } from '../../frame/later';
import { StepHead } from '../parts/StepHead';
import { useTarget } from '../target';
import type { StepProps } from '../step-props';
import { WhyButton } from '../why/WhyButton';
import { Cutters } from '../chain/Cutters';
import * as texts from '#language/screens/job-chain';

const { View: Shape } = later(() => import('../chain/Shape').then((there) => there.Shape));
const { View: Stretch } = later(() => import('../chain/Stretch').then((there) => there.Stretch));
const { View: Underside } = later(() => import('../chain/Underside').then((there) => there.Underside));

const VIEWS = {
  cutters: { name: texts.cutters, View: Cutters },
  shape: { name: texts.shapeAndGauges, View: Shape },
  push: { name: texts.pushAndPull, View: Stretch },
  under: { name: texts.underside, View: Underside },
} as const satisfies Record<StepView<'chain'>, { name: string; View: ComponentType }>;
const VIEW_IDS = STEP_ROWS.chain.views;

/** The view that shows a reading, as its declaration says. */
const viewOf = (path: string): StepView<'chain'> =>
  VIEW_IDS.find((id) => id === readingAt(path)?.told.view) ?? 'cutters';

/**
 * Chain: its cutters against the mark, their shape, the wear in its rivets, and what hands and eyes find underneath.
 */
export default function ChainStep({ onOpen }: StepProps) {
  const [view, setView] = useState<StepView<'chain'>>('cutters');
  useTarget((path) => setView(viewOf(path)));
  const { View } = VIEWS[view];
  return (
    <Tabbed chosen={view} onChoose={setView}>
      <StepHead title={texts.chain}>
        <WhyButton onOpen={onOpen} />
        <TabList label={texts.chain} tabs={VIEW_IDS.map((id) => ({ id, name: VIEWS[id].name }))} />
      </StepHead>
      <TabPanel of={view}>
        <View />
      </TabPanel>
    </Tabbed>
  );
}
