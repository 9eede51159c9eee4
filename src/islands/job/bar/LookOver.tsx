import { Notice } from '../../../ui/parts/Notice';
import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import { checkSentence, greaseSays } from '../../../wording';
import { heatSentence } from '../../../wording/causes';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-bar';

/** The walk along the bar in the order hands move: tail, body, groove, nose; and the bar's own sizes. */
export function LookOver() {
  const { entered, appraisal, view } = useJob();
  const { unit } = useFrame();
  const blueing = appraisal.checks.find(({ id, outcome }) => id === 'bar.blueing' && outcome === 'watch');
  const hard = entered.sheet.bar?.nose === 'hard';
  return (
    <>
      <Notice kind="caution">{texts.glovesAtTheRailEdges}</Notice>
      <Group title={texts.tail} aside={texts.oneFindingATap}>
        <div className="grid grid-cols-2 gap-4">
          <Field path="bar.checks.slot" />
          <Field path="bar.checks.holes" />
          <Field path="bar.checks.oilHoles" />
          <Field path="bar.checks.tailErosion" />
        </div>
      </Group>
      <Group title={texts.body}>
        <div className="grid grid-cols-2 gap-4">
          <Field path="bar.checks.crack" />
          <Field path="bar.checks.bow" />
          <Field path="bar.checks.twist" />
          <Field path="bar.checks.dents" />
          <div>
            <Field path="bar.checks.blueing" />
            {blueing && (
              <p className="mt-1 text-sm">
                {checkSentence(blueing, unit)} {heatSentence(appraisal.heat)}
              </p>
            )}
          </div>
          <Field path="bar.checks.resin" />
          <Field path="bar.checks.rust" />
          <Field path="bar.checks.barePaint" />
          <Field path="bar.construction" />
        </div>
      </Group>
      <Group title={texts.grooveAndRails}>
        <div className="grid grid-cols-2 gap-4">
          <Field path="bar.checks.groove" />
          <Field path="bar.checks.grooveShape" />
          <Field path="bar.checks.ruts" />
          <Field path="bar.checks.railLine" />
          <Field path="bar.checks.straightEdge" />
        </div>
      </Group>
      <Group title={texts.nose}>
        <div className="grid grid-cols-2 gap-4">
          <Field path="bar.nose" />
          {hard ? (
            <>
              <Field path="bar.checks.hardNose" />
              <Field path="bar.noseReplaceable" />
            </>
          ) : (
            <>
              <Field path="bar.checks.noseTurns" />
              <Field path="bar.checks.tipPlay" />
              <Field path="bar.checks.noseTeeth" />
              <Field path="bar.checks.nosePinch" />
              <Field path="bar.checks.noseDirt" />
              <Field path="bar.noseReplaceable" />
              <Field path="bar.nosePort" hint={greaseSays[view.schools.greaseNose]} />
              <Field path="bar.noseGreased" />
            </>
          )}
        </div>
      </Group>
      <Group title={texts.sizes}>
        <div className="grid grid-cols-4 gap-3 max-lg:grid-cols-2">
          <Field path="bar.overallLength" />
          <Field path="bar.bodyHeight" />
          <Field path="bar.thickness" />
          <Field path="bar.mount" />
          <Field path="bar.oilHole" />
        </div>
      </Group>
    </>
  );
}
