import { Notice } from '../../ui/parts/Notice';
import { PROOF_CAUTIONS } from '../../wording';
import { Field } from '../job/parts/Field';
import { Group } from '../job/parts/StepHead';
import * as texts from '#language/screens/job-prove';

/** A test cut with the set as it came: where it is drawn to, what it throws, whether oil comes. */
export function TestCut() {
  return (
    <>
      <Notice kind="caution">
        {PROOF_CAUTIONS.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Notice>
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
      <Group title={texts.oil}>
        <Field path="proof.oil" />
      </Group>
    </>
  );
}
