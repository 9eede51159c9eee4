import { Notice } from '../../../ui/parts/Notice';
import { Field } from '../parts/Field';
import { StepHead } from '../parts/StepHead';
import { Guided } from '../parts/Guided';
import * as texts from '#language/screens/job-acts';

/** Strip: make safe, take chain and bar off, and note how the bar sat before that is forgotten. */
export default function Strip() {
  return (
    <>
      <StepHead title={texts.makeSafeAndStrip} />
      <Notice kind="caution">{texts.powerOffFirst}</Notice>
      <div className="mt-3 grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-8 max-lg:grid-cols-1">
        <Guided path="strip.done" title={texts.inThisOrder} />
        <div className="grid content-start gap-4 border-t border-line py-3">
          <h3 className="font-bold">{texts.seenWhileStripping}</h3>
          <Field path="bar.edgeDown" />
          <Field path="strip.tension" />
          <div className="grid grid-cols-2 gap-4">
            <Field path="saw.checks.chainCatcher" />
            <Field path="saw.checks.rearGuard" />
          </div>
          <Field path="chain.checks.resin" />
          <Field path="bar.checks.resin" />
        </div>
      </div>
    </>
  );
}
