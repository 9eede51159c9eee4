import { useId } from 'react';
import { Notice } from '../../../ui/parts/Notice';
import { ChoiceField, ChoicesField } from '../parts/ChoiceField';
import { Conflict } from '../parts/Conflict';
import { EntryField } from '../parts/EntryField';
import { Group, StepHead } from '../parts/StepHead';
import { Photos } from '../photos/Photos';
import { MeasuringPlan } from '../plan/MeasuringPlan';
import { WhyButton } from '../why/WhyButton';
import type { StepProps } from '../step-props';
import { useJob } from '../store/JobContext';
import { useField } from '../store/useField';
import { TurnLog } from '../parts/TurnLog';

/** Take in: whose, which saw, the complaint in the customer's words and as symptoms, what it is used for and by whom. */
export default function TakeIn({ onOpen, onMeasure }: StepProps) {
  const { view } = useJob();
  const { customer, job } = view;
  return (
    <>
      <StepHead title="Take in">
        <p className="text-sm text-ink-soft">
          {customer.name}
          {customer.contact && ` · ${customer.contact}`} · taken in by {job.createdBy}
        </p>
      </StepHead>
      <Notice kind="caution">
        Before stripping: battery or spark lead off, gloves on, chain brake off. A worn bar edge cuts like a knife.
      </Notice>
      <div className="mt-3 grid gap-4">
        <ChoicesField path="job.brought" legend="Brought" />
        <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.6fr)] gap-4 max-lg:grid-cols-1">
          <Complaint />
          <div className="grid content-start gap-2">
            <ChoicesField path="job.symptoms" legend="Symptoms" />
            <div>
              <WhyButton onOpen={onOpen} />
            </div>
          </div>
        </div>
        <div className="grid grid-cols-2 gap-4 max-lg:grid-cols-1">
          <ChoiceField path="job.use" legend="Used for" />
          <ChoiceField
            path="job.operatorTrained"
            legend="Who runs the saw"
            hint="Decides the kickback class. Local rules come first."
          />
          <div className="grid content-start gap-2">
            <ChoiceField path="job.turnOver" legend="Bar turned over" />
            <TurnLog />
          </div>
          <ChoiceField path="job.sharpening" legend="How they sharpen" />
          <ChoiceField path="job.filesOnBar" legend="Chain filed on the bar" />
          <ChoiceField path="job.carriesWrench" legend="Wrench carried along" />
          <EntryField
            path="job.hoursPerWeek"
            label="Running in a usual week"
            suffix="h"
            hint="Chain turning. With it the next visit follows from the wear."
          />
        </div>
      </div>
      <div className="mt-4">
        <Group title="The saw">
          <div className="grid grid-cols-4 gap-4">
            <EntryField path="saw.label" label="Saw" />
            <EntryField path="saw.mount" label="Mount" placeholder="M2" />
            <EntryField path="saw.oilHole" label="Oil-hole pattern" placeholder="O1" />
            <EntryField path="saw.maxRpm" label="Top speed" suffix="1/min" />
          </div>
        </Group>
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
        In the customer’s words
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
