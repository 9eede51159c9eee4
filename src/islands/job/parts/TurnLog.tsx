import { turnLogSentence } from '../../../wording';
import { ChoiceField } from './ChoiceField';
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
      <ChoiceField
        path="saw.sameBar"
        legend="Same bar as at the last service"
        hint="Of another bar the log tells nothing."
      />
    </>
  );
}
