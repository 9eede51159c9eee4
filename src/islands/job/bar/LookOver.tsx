import { Notice } from '../../../ui/parts/Notice';
import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { checkSentence, greaseSays } from '../../../wording';
import { heatSentence } from '../../../wording/causes';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';

/** The walk along the bar in the order hands move: tail, body, groove, nose; and the bar's own sizes. */
export function LookOver() {
  const { entered, appraisal, view } = useJob();
  const { unit } = useFrame();
  const blueing = appraisal.checks.find(({ id, outcome }) => id === 'bar.blueing' && outcome === 'watch');
  const hard = entered.sheet.bar?.nose === 'hard';
  return (
    <>
      <Notice kind="caution">
        Gloves at the rail edges. With compressed air: eye protection, blow away from the nose, never spin the nose
        bearing.
      </Notice>
      <Group title="Tail" aside="one finding a tap, in the order hands move along a bar">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.checks.slot" legend="Mount slot" />
          <ChoiceField path="bar.checks.holes" legend="Tensioner hole" />
          <ChoiceField path="bar.checks.oilHoles" legend="Oil holes" />
          <ChoiceField path="bar.checks.tailErosion" legend="Erosion at the tail" />
        </div>
      </Group>
      <Group title="Body">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.checks.crack" legend="Cracks" />
          <EntryField
            path="bar.checks.bow"
            label="Bow"
            suffix="unit"
            hint="sight down it; largest gap under a straight edge; 0 when none"
          />
          <ChoiceField path="bar.checks.twist" legend="Twist" />
          <ChoiceField path="bar.checks.dents" legend="Dents" />
          <div>
            <ChoiceField path="bar.checks.blueing" legend="Blue patches" />
            {blueing && (
              <p className="mt-1 text-sm">
                {checkSentence(blueing, unit)} {heatSentence(appraisal.heat)}
              </p>
            )}
          </div>
          <ChoiceField path="bar.checks.resin" legend="Resin" />
          <ChoiceField path="bar.checks.rust" legend="Rust" hint="It condemns nothing." />
          <ChoiceField path="bar.checks.barePaint" legend="Paint" hint="Recorded, and means nothing." />
          <ChoiceField path="bar.construction" legend="Construction" />
        </div>
      </Group>
      <Group title="Groove and rails">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.checks.groove" legend="Groove" />
          <ChoiceField path="bar.checks.grooveShape" legend="Along its length" />
          <ChoiceField path="bar.checks.ruts" legend="Ruts in the rail tops" />
          <ChoiceField path="bar.checks.railLine" legend="Rule laid along the rails" />
          <ChoiceField path="bar.checks.straightEdge" legend="Straight-edge test, cutter pushed over" />
        </div>
      </Group>
      <Group title="Nose">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.nose" legend="Kind" />
          {hard ? (
            <>
              <ChoiceField path="bar.checks.hardNose" legend="Its facing" />
              <ChoiceField path="bar.noseReplaceable" legend="Nose can be replaced" />
            </>
          ) : (
            <>
              <ChoiceField path="bar.checks.noseTurns" legend="Turns" />
              <ChoiceField path="bar.checks.tipPlay" legend="Play at the tip" />
              <ChoiceField path="bar.checks.noseTeeth" legend="Teeth" />
              <ChoiceField path="bar.checks.nosePinch" legend="Plates press on it" />
              <ChoiceField path="bar.checks.noseDirt" legend="Dirt round it" />
              <ChoiceField path="bar.noseReplaceable" legend="Nose can be replaced" />
              <ChoiceField path="bar.nosePort" legend="Port for grease" hint={greaseSays[view.schools.greaseNose]} />
              <ChoiceField path="bar.noseGreased" legend="Greased before" />
            </>
          )}
        </div>
      </Group>
      <Group title="Sizes">
        <div className="grid grid-cols-4 gap-3 max-lg:grid-cols-2">
          <EntryField path="bar.overallLength" label="Tail to tip" suffix="unit" />
          <EntryField path="bar.bodyHeight" label="Height" suffix="unit" />
          <EntryField path="bar.thickness" label="Thickness" suffix="unit" />
          <EntryField path="bar.mount" label="Mount" placeholder="M2" />
          <EntryField path="bar.oilHole" label="Oil-hole pattern" placeholder="O1" />
        </div>
      </Group>
    </>
  );
}
