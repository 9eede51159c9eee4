import { CircleHelp } from 'lucide-react';
import { useJob } from '../store/JobContext';
import type { StepProps } from '../step-props';
import * as texts from '#language/screens/job';

interface WhyButtonProps extends Pick<StepProps, 'onOpen'> {
  /** Where there is little room: the mark alone, its words for those who cannot see it. */
  readonly brief?: boolean;
}

/** From a part to what ails the saw. */
export function WhyButton({ onOpen, brief = false }: WhyButtonProps) {
  const { appraisal } = useJob();
  if (appraisal.diagnoses.length === 0) return null;
  return (
    <button
      type="button"
      title={texts.whatAilsIt}
      className="flex quiet items-center gap-1.5 px-2.5"
      onClick={() => onOpen('why')}
    >
      <CircleHelp size={16} aria-hidden="true" />
      <span className={brief ? 'sr-only' : ''}>{texts.whatAilsIt}</span>
    </button>
  );
}
