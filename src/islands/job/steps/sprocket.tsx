import { ChoiceField } from '../parts/ChoiceField';
import { EntryField } from '../parts/EntryField';
import { Group, StepHead } from '../parts/StepHead';

/** Drive sprocket: looked at with every chain change. */
export default function SprocketStep() {
  return (
    <>
      <StepHead title="Drive sprocket">
        <p className="text-sm text-ink-soft">A worn sprocket ruins the next chain’s drive links.</p>
      </StepHead>
      <Group title="What it is">
        <div className="grid gap-3">
          <ChoiceField path="driveSprocket.type" legend="Kind" />
          <ChoiceField path="driveSprocket.pitch" legend="Pitch marked on it" />
          <EntryField path="driveSprocket.teeth" label="Teeth" hint="drive links taken per turn" />
        </div>
      </Group>
      <Group title="How worn">
        <div className="grid grid-cols-3 gap-3">
          <EntryField path="driveSprocket.wear" label="Depth of the worn grooves" suffix="unit" />
          <EntryField path="driveSprocket.chainsRun" label="Chains run on it" />
        </div>
        <ChoiceField path="driveSprocket.turns" legend="Turns" />
      </Group>
    </>
  );
}
