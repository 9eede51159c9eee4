import { Notice } from '../../../ui/parts/Notice';
import { Field } from '../parts/Field';
import { StepHead } from '../parts/StepHead';
import { Guided } from '../parts/Guided';

/** Clean: before judging. What was found on the way belongs to the bar, as it was before the rake went in. */
export default function Clean() {
  return (
    <>
      <StepHead title="Clean before judging" />
      <Notice kind="caution">
        Compressed air: eye protection on, blow away from the nose, and never spin the nose sprocket with air. Rake away
        from the nose, so that dirt is not packed into its bearing.
      </Notice>
      <div className="mt-3 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
        <Guided path="clean.done" title="In this order" />
        <div className="grid content-start gap-4 border-t border-line py-3">
          <h3 className="font-bold">Found on the way</h3>
          <Field path="bar.checks.groove" />
          <Field path="bar.checks.oilHoles" />
          <Field path="bar.checks.noseDirt" />
          <Field path="bar.checks.resin" />
        </div>
      </div>
    </>
  );
}
