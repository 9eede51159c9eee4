import { Field } from '../parts/Field';
import { Group } from '../parts/StepHead';
import * as texts from '#language/screens/job-prove';

/** What a saw is proved by: its chain at idle, oil, a test cut, what it throws. */
export function ProofFields() {
  return (
    <>
      <Group title={texts.atIdle}>
        <Field path="proof.idle" />
      </Group>
      <Group title={texts.oil}>
        <Field path="proof.oil" />
      </Group>
      <Group title={texts.testCut}>
        <div className="grid grid-cols-2 gap-4">
          <Field path="proof.cut.depth" />
          <Field path="proof.cut.drift" />
        </div>
        <div className="mt-2">
          <Field path="proof.cut.side" />
        </div>
      </Group>
      <Group title={texts.whatItThrows}>
        <Field path="proof.swarf" />
      </Group>
    </>
  );
}
