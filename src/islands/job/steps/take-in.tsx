import { useId } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { Field } from '../parts/Field';
import { Conflict } from '../parts/Conflict';
import { Group, StepHead } from '../parts/StepHead';
import { Returning } from '../parts/Returning';
import { Photos } from '../photos/Photos';
import { MeasuringPlan } from '../plan/MeasuringPlan';
import { WhyButton } from '../why/WhyButton';
import type { StepProps } from '../step-props';
import { useJob } from '../store/JobContext';
import { useField } from '../store/useField';
import { TurnLog } from '../parts/TurnLog';
import * as texts from '#language/screens/job-take-in';

/**
 * Take in: whose, which saw, the complaint in the customer's words and as symptoms, what it is used for and by whom.
 */
export default function TakeIn({ onOpen, onMeasure }: StepProps) {
  const { view } = useJob();
  const { customer, job } = view;
  return (
    <>
      <StepHead title={texts.takeIn}>
        <p className="text-sm text-ink-soft">
          {texts.takenInBy(customer.name, customer.contact && ` · ${customer.contact}`, job.createdBy)}
        </p>
      </StepHead>
      <Notice kind="caution">{texts.beforeStripping}</Notice>
      <div className="mt-3 grid gap-4">
        <Field path="job.brought" />
        <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.6fr)] gap-4 max-lg:grid-cols-1">
          <Complaint />
          <div className="grid content-start gap-2">
            <Field path="job.symptoms" />
            <div>
              <WhyButton onOpen={onOpen} />
            </div>
          </div>
        </div>
        <div className="grid grid-cols-2 gap-4 max-lg:grid-cols-1">
          <Field path="job.use" />
          <Field path="job.operatorTrained" />
          <div className="grid content-start gap-2">
            <Field path="job.turnOver" />
            <TurnLog />
          </div>
          <Field path="job.sharpening" />
          <Field path="job.filesOnBar" />
          <Field path="job.carriesWrench" />
          <Field path="job.hoursPerWeek" />
        </div>
      </div>
      <div className="mt-4">
        <Group
          title={texts.theSaw}
          aside={
            view.saw && (
              <a className="inline-grid min-h-11 content-center underline" href={`/gear/saws/${view.saw.id}`}>
                {texts.itsPast}
              </a>
            )
          }
        >
          <div className="grid grid-cols-4 gap-4">
            <Field path="saw.label" />
            <Field path="saw.mount" />
            <Field path="saw.oilHole" />
            <Field path="saw.maxRpm" />
          </div>
        </Group>
        <Returning />
        <Photos />
        <MeasuringPlan onMeasure={onMeasure} />
      </div>
    </>
  );
}

function Complaint() {
  const field = useField('job.complaint');
  const id = useId();
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="text-sm font-semibold text-ink-soft">
        {texts.inTheCustomersWords}
      </label>
      <textarea
        id={id}
        data-path="job.complaint"
        rows={5}
        className="entry py-2"
        value={field.text}
        maxLength={2000}
        onChange={({ target }) => field.type(target.value)}
        onBlur={field.enter}
      />
      <Conflict field={field} />
    </div>
  );
}
