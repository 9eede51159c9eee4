import { isRenewed } from '../../../core/course';
import { CHAIN_OPERATIONS } from '../../../core/declared';
import { CutterRibbon } from '../../../ui/drawings/CutterRibbon';
import { Empty, Notice } from '../../../ui/parts/Notice';
import { CHAIN_CAUTIONS, gaugeSentence, gaugesToFile, operationWord, sentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { StartValues } from '../chain/StartValues';
import { useCutters } from '../chain/use-cutters';
import { Guided } from '../parts/Guided';
import { NumberRow } from '../parts/NumberRow';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { FitNew } from './FitNew';
import * as texts from '#language/screens/job-rework';

/**
 * Rework of the chain: how far each cutter goes back, what the depth gauges need then, the work in its order, and the
 * second measurement.
 */
export function ReworkChain() {
  const { appraisal, entered, stories } = useJob();
  const story = stories.find(({ part }) => part === 'chain');
  const verdict = appraisal.verdicts.chain;
  const done = entered.sheet.chain?.reworkDone ?? [];
  const operations = CHAIN_OPERATIONS.filter((each) => verdict.operations.includes(each) || done.includes(each));
  if (story && isRenewed(story)) return <FitNew story={story} />;
  if (verdict.action === 'replace')
    return <Empty title={texts.thisChainIsFinished}>{texts.noWorkWouldSaveChain}</Empty>;
  if (operations.length === 0) return <Empty title={texts.nothingToRework}>{texts.chainCallsForNoWork}</Empty>;
  return (
    <>
      <Notice kind="caution">
        {CHAIN_CAUTIONS.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Notice>
      <Ribbon />
      <SetBacks />
      <div className="grid grid-cols-2 gap-x-6 max-lg:grid-cols-1">
        <Guided
          path="chain.reworkDone"
          title={texts.inThisOrder}
          acts={operations.map((value) => ({ value, label: sentence(operationWord[value]) }))}
        />
        <FileBy />
      </div>
      <Group title={texts.measureAgain} aside={texts.whatWasMeasuredAgainStands}>
        <div className="grid grid-cols-2 gap-x-6 gap-y-2 max-lg:grid-cols-1">
          <NumberRow path="chain.after.cuttersLeft" title={texts.leftCutters} label={texts.leftCutterAfter} />
          <NumberRow path="chain.after.cuttersRight" title={texts.rightCutters} label={texts.rightCutterAfter} />
          <NumberRow path="chain.after.depthGaugesLeft" title={texts.leftDepthGauges} label={texts.leftGaugeAfter} />
          <NumberRow path="chain.after.depthGaugesRight" title={texts.rightDepthGauges} label={texts.rightGaugeAfter} />
        </div>
      </Group>
    </>
  );
}

function Ribbon() {
  const { appraisal } = useJob();
  const { show } = useFrame();
  const { cutters } = useCutters();
  const { afterFiling, cutterLimit } = appraisal.chain;
  return (
    <CutterRibbon
      left={cutters.left}
      right={cutters.right}
      mark={cutterLimit}
      target={afterFiling?.length ?? null}
      show={show}
    />
  );
}

/** What comes off each cutter until all are as short as the worst will be. */
function SetBacks() {
  const { appraisal } = useJob();
  const { show } = useFrame();
  const { cutters } = useCutters();
  const target = appraisal.chain.afterFiling?.length;
  if (target === undefined) return null;
  const rows = (['left', 'right'] as const).flatMap((side) =>
    cutters[side].flatMap(({ length, after }, i) =>
      length === null ? [] : [{ name: `${sentence(side)} ${i + 1}`, off: Math.max(0, (after ?? length) - target) }],
    ),
  );
  const some = rows.filter(({ off }) => off >= 0.05);
  if (some.length === 0) return null;
  return (
    <Group title={texts.offEachCutter} aside={texts.untilAllStand(show(target))}>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(8rem,1fr))] gap-x-4">
        {some.map(({ name, off }) => (
          <li key={name} className="flex justify-between border-t border-line py-0.5">
            <span>{name}</span>
            <span className="figures font-bold text-brass">{show(off)}</span>
          </li>
        ))}
      </ul>
    </Group>
  );
}

/** Values to file by, and what the gauges need once the cutters went back. */
function FileBy() {
  const { appraisal } = useJob();
  const { show } = useFrame();
  const { gauges } = appraisal.chain;
  const said = gauges && gaugeSentence(gauges, show);
  const filed = gauges && gaugesToFile(gauges);
  return (
    <Group title={texts.fileBy} aside={texts.theMakersOwnValuesCome}>
      <StartValues />
      {said && <p className="mt-2 text-sm">{said}</p>}
      {filed && <p className="mt-1 text-sm">{filed}</p>}
    </Group>
  );
}
