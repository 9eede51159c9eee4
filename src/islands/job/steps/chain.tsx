import { useJob } from '../store/JobContext';
import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { Group, StepHead } from '../parts/StepHead';
import { useFrame } from '../../frame/frame-context';

const CUTTERS_SHOWN = 4;

/** Chain: cutters against the mark, push and pull, and what hands and eyes find. */
export default function ChainStep() {
  const { appraisal } = useJob();
  const { show } = useFrame();
  const { correction, stretch, filingsLeft } = appraisal.chain;
  const elongation = stretch.measured;
  return (
    <>
      <StepHead title="Chain" />
      <Group
        title="Cutter lengths"
        aside={
          correction
            ? `filed back to the worst: ${show(correction.length.value)} (${correction.side} cutter ${correction.cutter}), about ${filingsLeft} filings left`
            : 'shortest and longest of each side will do'
        }
      >
        <Cutters side="Left" />
        <Cutters side="Right" />
        <div className="mt-2 grid grid-cols-4 gap-3">
          <EntryField path="chain.witnessLimit" label="Witness mark at" suffix="unit" />
          <EntryField path="chain.damage.0.cutter" label="Damaged cutter no." />
          <EntryField path="chain.damage.0.setBack" label="Set-back to clear it" suffix="unit" />
          <ChoiceField path="chain.damage.0.side" legend="Side" />
        </div>
      </Group>
      <Group
        title="Push and pull"
        aside={
          elongation
            ? `${elongation.percent.toFixed(2)} %, ${show(elongation.perJoint)} a joint`
            : 'half the loop along a straight edge: pushed closed, then pulled out'
        }
      >
        <div className="grid grid-cols-3 gap-3">
          <EntryField path="chain.pushPull.joints" label="Joints" />
          <EntryField path="chain.pushPull.closed" label="Closed" suffix="unit" />
          <EntryField path="chain.pushPull.pulled" label="Pulled" suffix="unit" />
        </div>
      </Group>
      <Group title="Link and cutter sizes" aside="used for room, rock and the play limit of the bar">
        <div className="grid grid-cols-3 gap-3">
          <EntryField path="chain.tang" label="Tang" suffix="unit" hint="drive link below the straps" />
          <EntryField path="chain.kerf" label="Kerf" suffix="unit" />
          <EntryField
            path="chain.tipHeight"
            label="Cutter tip height"
            suffix="unit"
            hint="above the middle of the tang"
          />
        </div>
      </Group>
      <Group title="Looked over">
        <div className="grid grid-cols-2 gap-3">
          <ChoiceField path="chain.checks.crack" legend="Cracks" />
          <ChoiceField path="chain.checks.strapBurrs" legend="Strap undersides" />
          <EntryField path="chain.checks.burredTangs" label="Burred tangs" />
          <EntryField path="chain.checks.tightJoints" label="Tight joints" />
        </div>
      </Group>
    </>
  );
}

function Cutters({ side }: { side: 'Left' | 'Right' }) {
  return (
    <div className="grid grid-cols-4 gap-3">
      {Array.from({ length: CUTTERS_SHOWN }, (_, i) => (
        <EntryField key={i} path={`chain.cutters${side}.${i}`} label={`${side} ${i + 1}`} suffix="unit" />
      ))}
    </div>
  );
}
