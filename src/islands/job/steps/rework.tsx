import { isRenewed } from '../../../core/course';
import { useEffect, useState, type ComponentType } from 'react';
import { Printer } from 'lucide-react';
import { STEP_ROWS, type Part, type StepView } from '../../../core/reading';
import { readingAt } from '../../../core/sheet';
import { Tabbed, TabList, TabPanel } from '../../../ui/parts/Tabs';
import { StepHead } from '../parts/StepHead';
import { isSaved, useJob, useOfStore } from '../store/JobContext';
import type { StepProps } from '../step-props';
import { useTarget } from '../target';
import { ReworkBar } from '../rework/ReworkBar';
import { ReworkChain } from '../rework/ReworkChain';
import { ReworkSprocket } from '../rework/ReworkSprocket';
import * as texts from '#language/screens/job-rework';

/** The parts that are worked on; the nose with its bar. */
const VIEWS = {
  bar: { part: 'bar', tab: texts.bar, title: texts.reworkTheBar, View: ReworkBar },
  chain: { part: 'chain', tab: texts.chain, title: texts.reworkTheChain, View: ReworkChain },
  sprocket: { part: 'driveSprocket', tab: texts.driveSprocket, title: texts.workOnTheSprocket, View: ReworkSprocket },
} as const satisfies Record<StepView<'rework'>, { part: Part; tab: string; title: string; View: ComponentType }>;
const VIEW_IDS = STEP_ROWS.rework.views;

/**
 * Rework: part by part, the work in its order, and the second measurement. It opens with the first part that calls for
 * work.
 */
export default function Rework({ onPart }: StepProps) {
  const { appraisal, stories, view: job } = useJob();
  const isStored = useOfStore(isSaved);
  const goes = (part: Part) => stories.some((story) => story.part === part && isRenewed(story));
  const calling = VIEW_IDS.filter(
    (id) => goes(VIEWS[id].part) || appraisal.verdicts[VIEWS[id].part].operations.length > 0,
  );
  const [view, setView] = useState<StepView<'rework'>>(calling[0] ?? 'bar');
  useTarget((path) => setView(VIEW_IDS.find((id) => id === readingAt(path)?.told.view) ?? 'bar'));
  const { part, title, View } = VIEWS[view];
  useEffect(() => onPart(part), [onPart, part]);
  return (
    <Tabbed chosen={view} onChoose={setView}>
      <StepHead title={title}>
        <TabList label={texts.partsToWorkOn} tabs={VIEW_IDS.map((id) => ({ id, name: VIEWS[id].tab }))} />
        {calling.length > 0 && isStored && (
          <a className="flex quiet items-center gap-2" href={`/jobs/${job.job.id}/work-card`}>
            <Printer size={17} aria-hidden="true" />
            {texts.workCardToPrint}
          </a>
        )}
      </StepHead>
      <TabPanel of={view}>
        <View />
      </TabPanel>
    </Tabbed>
  );
}
