import { GaugeHeight } from '../../../ui/drawings/GaugeHeight';
import { CutterProfile } from '../../../ui/drawings/CutterProfile';
import { Notice } from '../../../ui/parts/Notice';
import { checkSentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { NumberRow } from '../parts/NumberRow';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { StartValues } from './StartValues';
import * as texts from '#language/screens/job-chain';

const UNDERCUTS = {
  right: <CutterProfile undercut="right" />,
  hooked: <CutterProfile undercut="hooked" />,
  blunt: <CutterProfile undercut="blunt" />,
};

/**
 * Shape of the cutters: what they are, the values to file them by, angles, undercut, depth gauges; and the sizes that
 * the bar is judged with.
 */
export function Shape() {
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] gap-x-6 max-lg:grid-cols-1">
        <Group title={texts.whatItIs}>
          <div className="grid gap-2">
            <Field path="chain.cutterShape" />
            <Field path="chain.filing" />
            <Field path="chain.bumperLinks" />
          </div>
        </Group>
        <BeginWith />
      </div>
      <DepthGauges />
      <Group title={texts.topPlatesAndUndercut}>
        <div className="grid grid-cols-3 gap-3">
          <Field path="chain.topPlateAngleLeft" />
          <Field path="chain.topPlateAngleRight" />
          <Field path="chain.topPlateWidth" />
        </div>
        <Said of={['chain.angle']} />
        <div className="mt-2">
          <Field path="chain.checks.undercut" pictures={UNDERCUTS} />
        </div>
        <Said of={['chain.undercut']} />
      </Group>
      <Group title={texts.linkAndCutterSizes} aside={texts.usedForRoomRock}>
        <div className="grid grid-cols-3 gap-3">
          <Field path="chain.tang" />
          <Field path="chain.kerf" />
          <Field path="chain.tipHeight" />
        </div>
      </Group>
    </>
  );
}

/** Values to begin with, where the maker gives none. */
function BeginWith() {
  const { appraisal } = useJob();
  const { start } = appraisal.chain;
  return (
    <Group title={texts.valuesToBeginWith} aside={texts.makersOwnFirst}>
      <StartValues />
      {start.filing === 'ground' && <Notice kind="caution">{texts.groundNotFiledCarbideTakes}</Notice>}
    </Group>
  );
}

function DepthGauges() {
  const { appraisal } = useJob();
  const { show, unit } = useFrame();
  const { gauges } = appraisal.chain;
  return (
    <Group title={texts.depthGauges} aside={texts.heightBelowTheCuttersEdge}>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-6 gap-y-2 max-lg:grid-cols-1">
        <div className="grid content-start gap-2">
          <NumberRow path="chain.depthGaugesLeft" title={texts.leftIn(unit)} label={texts.leftGauge} />
          <NumberRow path="chain.depthGaugesRight" title={texts.rightIn(unit)} label={texts.rightGauge} />
          <Field path="chain.gaugeSetting" />
        </div>
        <GaugeHeight
          highest={gauges?.highest?.height.value ?? null}
          lowest={gauges?.lowest?.height.value ?? null}
          setting={gauges?.setting ?? null}
          after={gauges?.afterCorrection ?? null}
          show={show}
        />
      </div>
      <Said of={['chain.gauges-high', 'chain.gauges-low', 'chain.gauges-too-low', 'chain.gauges-uneven']} />
    </Group>
  );
}

/** What the judgement says of these checks, but for those that are in order. */
function Said({ of }: { of: readonly string[] }) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const checks = appraisal.checks.filter(({ id, outcome, value, observed }) => {
    return of.includes(id) && outcome !== 'ok' && (value !== null || observed !== null);
  });
  return checks.map((check) => (
    <p key={check.id} className="mt-1 text-sm">
      {checkSentence(check, unit)}
    </p>
  ));
}
