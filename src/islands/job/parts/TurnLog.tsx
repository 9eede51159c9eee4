import { Field } from './Field';
import { turnLogSentence } from '../../../wording';
import { useJob } from '../store/JobContext';

/** What earlier jobs of this saw tell of turning over, beside what the customer says. */
export function TurnLog() {
  const { appraisal, entered } = useJob();
  const { saw, job } = entered.sheet;
  if (!saw?.turnLog?.length) return null;
  const says = turnLogSentence(appraisal.bar.turned, job?.turnOver);
  return (
    <>
      {says && <p className="text-sm">{says}</p>}
      <Field path="saw.sameBar" />
    </>
  );
}
