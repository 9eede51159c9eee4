import { foreseenOn, partOf } from '../../../core/past';
import { Field } from './Field';
import { turnLogSentence } from '../../../wording';
import { useJob } from '../store/JobContext';

/** What earlier jobs of this saw tell of turning over, beside what the customer says. */
export function TurnLog() {
  const { appraisal, entered } = useJob();
  const { saw, job } = entered.sheet;
  if (!saw?.turnLog?.length) return null;
  // Where something is foreseen of the bar, it is asked for there.
  const isTold = foreseenOn(entered.sheet).some((each) => partOf(each) === 'bar');
  const says = turnLogSentence(appraisal.bar.turned, job?.turnOver);
  return (
    <>
      {says && <p className="text-sm">{says}</p>}
      {!isTold && <Field path="saw.sameBar" />}
    </>
  );
}
