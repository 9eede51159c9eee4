import { Notice } from '../../../ui/parts/Notice';
import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { OPTIONS } from '../options';
import { useJob } from '../store/JobContext';

/** The walk along the bar in the order hands move: tail, body, groove, nose; and the bar's own sizes. */
export function LookOver() {
  const { entered } = useJob();
  const hard = entered.sheet.bar?.nose === 'hard';
  return (
    <>
      <Notice kind="caution">
        Gloves at the rail edges. With compressed air: eye protection, blow away from the nose, never spin the nose
        bearing.
      </Notice>
      <Group title="Tail">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.checks.slot" legend="Mount slot" options={OPTIONS.slot} />
          <ChoiceField path="bar.checks.oilHoles" legend="Oil holes" options={OPTIONS.oilHoles} />
        </div>
      </Group>
      <Group title="Body" aside="missing paint says nothing">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.checks.crack" legend="Cracks" options={OPTIONS.crack} />
          <ChoiceField path="bar.checks.blueing" legend="Blueing" options={OPTIONS.blueing} />
          <EntryField
            path="bar.checks.bow"
            label="Bow"
            suffix="unit"
            hint="largest gap under a straight edge along the side; 0 when none"
          />
          <ChoiceField path="bar.construction" legend="Construction" options={OPTIONS.construction} />
        </div>
      </Group>
      <Group title="Groove">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.checks.groove" legend="Groove" options={OPTIONS.groove} />
          <ChoiceField
            path="bar.checks.straightEdge"
            legend="Straight-edge test, cutter pushed over"
            options={OPTIONS.straightEdge}
          />
        </div>
      </Group>
      <Group title="Nose">
        <div className="grid grid-cols-2 gap-4">
          <ChoiceField path="bar.nose" legend="Kind" options={OPTIONS.nose} />
          {!hard && (
            <>
              <ChoiceField path="bar.checks.noseTurns" legend="Turns" options={OPTIONS.noseTurns} />
              <ChoiceField path="bar.checks.tipPlay" legend="Play at the tip" options={OPTIONS.tipPlay} />
              <ChoiceField path="bar.noseReplaceable" legend="Nose can be replaced" options={OPTIONS.yesNo} />
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
        </div>
      </Group>
    </>
  );
}
