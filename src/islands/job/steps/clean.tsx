import { Notice } from '../../../ui/parts/Notice';
import { Field } from '../parts/Field';
import { StepHead } from '../parts/StepHead';
import { Guided } from '../parts/Guided';
import * as texts from '#language/screens/job-acts';

/** Clean: before judging. What was found on the way belongs to the bar, as it was before the rake went in. */
export default function Clean() {
  return (
    <>
      <StepHead title={texts.cleanBeforeJudging} />
      <Notice kind="caution">{texts.compressedAir}</Notice>
      <div className="mt-3 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
        <Guided path="clean.done" title={texts.inThisOrder} />
        <div className="grid content-start gap-4 border-t border-line py-3">
          <h3 className="font-bold">{texts.foundOnTheWay}</h3>
          <Field path="bar.checks.groove" />
          <Field path="bar.checks.oilHoles" />
          <Field path="bar.checks.noseDirt" />
          <Field path="bar.checks.resin" />
        </div>
      </div>
    </>
  );
}
