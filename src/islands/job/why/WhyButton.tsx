import { CircleHelp } from 'lucide-react';
import { useJob } from '../store/JobContext';
import type { StepProps } from '../steps';

/** From a part to what ails the saw. */
export function WhyButton({ onOpen }: Pick<StepProps, 'onOpen'>) {
  const { appraisal } = useJob();
  if (appraisal.diagnoses.length === 0) return null;
  return (
    <button type="button" className="flex quiet items-center gap-1.5 px-2.5" onClick={() => onOpen('why')}>
      <CircleHelp size={16} aria-hidden="true" />
      What ails it
    </button>
  );
}
