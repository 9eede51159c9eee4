import { isRenewed } from '../../../core/course';
import { barWork, isServiceOnly } from '../../../core/bar/checks';
import { RailProfile } from '../../../ui/drawings/RailProfile';
import { Empty, Notice } from '../../../ui/parts/Notice';
import {
  DEBURR_STEPS,
  effortSentence,
  LEVELLING_STEPS,
  operationWordIn,
  REWORK_CAUTIONS,
  schoolAnswer,
  sentence,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useStations } from '../bar/useStations';
import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import { Guided } from '../parts/Guided';
import { useJob } from '../store/JobContext';
import { BeforeAfter } from './BeforeAfter';
import { FitNew } from './FitNew';
import { TurnOvers } from './TurnOvers';
import { WorkTable } from './WorkTable';
import * as texts from '#language/screens/job-rework';

const EDGES = ['A', 'B'] as const;

/**
 * Rework of the bar: what comes off which rail, in which order, with its cautions; then the second measurement in the
 * same drawing.
 */
export function ReworkBar() {
  const { appraisal, view, entered, stories } = useJob();
  const story = stories.find(({ part }) => part === 'bar');
  const { show, unit, position } = useFrame();
  const stations = useStations();
  const { bar, verdicts } = appraisal;
  const operations = barWork(entered.sheet, bar, verdicts.bar, view.schools);
  const isFinished = verdicts.bar.action === 'replace' && operations.length === 0;
  const isServed = isServiceOnly(verdicts.bar, operations);
  const { levelling } = view.schools;
  const laminated = entered.sheet.bar?.construction === 'laminated';
  if (story && isRenewed(story)) return <FitNew story={story} />;
  return (
    <>
      {operations.length === 0 || isServed ? (
        <>
          <NoWork isFinished={isFinished} />
          {isServed && operations.length > 0 && (
            <Guided
              path="bar.reworkDone"
              title={texts.service}
              acts={operations.map((value) => ({ value, label: sentence(operationWordIn(value, view.schools)) }))}
            />
          )}
        </>
      ) : (
        <>
          <Notice kind="caution">
            {REWORK_CAUTIONS.map((text) => (
              <p key={text}>{text}</p>
            ))}
          </Notice>
          <BeforeAfter />
          <div className="mx-auto max-w-[42rem]">
            <RailProfile
              edges={stations.points}
              bands={stations.bands}
              limit={bar.depthLimit}
              tang={bar.setting.tang?.value ?? null}
              room={view.limits['bar.floor-clearance'].value}
              selected={stations.selected}
              onSelect={stations.select}
              show={(mm) => show(mm, unit === 'mm' ? 1 : 2)}
              showPosition={position}
            />
          </div>
          {EDGES.map((edge) => (
            <WorkTable key={edge} edge={edge} rows={stations.rows[edge]} />
          ))}
          <div className="grid grid-cols-2 gap-x-6 max-lg:grid-cols-1">
            <Guided
              path="bar.reworkDone"
              title={texts.inThisOrder}
              acts={operations.map((value) => ({ value, label: sentence(operationWordIn(value, view.schools)) }))}
            />
            <Group title={texts.levelling} aside={schoolAnswer.levelling[levelling]}>
              <ol className="list-decimal pl-5">
                {LEVELLING_STEPS[levelling].map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
              {operations.includes('deburr') && (
                <>
                  <h4 className="mt-2 font-bold">{texts.deburring}</h4>
                  <ol className="list-decimal pl-5">
                    {DEBURR_STEPS[view.schools.outerEdges].map((step) => (
                      <li key={step}>{step}</li>
                    ))}
                  </ol>
                </>
              )}
              <ul className="mt-2 text-sm text-ink-soft">
                {EDGES.map((edge) => {
                  const { dressing } = bar.edges[edge];
                  return dressing?.advised ? (
                    <li key={edge}>{texts.edgeEffort(edge, effortSentence(dressing, unit))}</li>
                  ) : null;
                })}
                <li>{texts.whereInkStaysAfter}</li>
                {laminated && <li>{texts.laminatedBudgetBars}</li>}
              </ul>
            </Group>
          </div>
        </>
      )}
      {!isFinished && (
        <Group title={texts.goesBackWithThisEdge} aside={texts.turningOverEvensTheWear}>
          <Field path="bar.edgeDownNow" />
          <TurnOvers />
        </Group>
      )}
    </>
  );
}

/** A bar that is finished gets no work, and neither does one that calls for none: they are not the same. */
function NoWork({ isFinished }: { isFinished: boolean }) {
  return isFinished ? (
    <Empty title={texts.thisBarIsFinished}>
      {texts.noWorkWouldSaveBar}{' '}
      <a href="/counter" className="font-semibold text-pine underline">
        {texts.theCounter}
      </a>{' '}
      {texts.findsABarThatFits}
    </Empty>
  ) : (
    <Empty title={texts.nothingToRework}>{texts.barCallsForNoWork}</Empty>
  );
}
