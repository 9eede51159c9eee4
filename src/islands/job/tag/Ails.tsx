import type { Step } from '../../../core/reading';
import { inSentence, leadOf, sentence, symptomName } from '../../../wording';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job';

/** The complaint with its likeliest cause, and the way to all of them. */
export function Ails({ onOpen }: { readonly onOpen: (step: Step) => void }) {
  const { appraisal } = useJob();
  if (appraisal.diagnoses.length === 0) return null;
  return (
    <section aria-label={texts.whatAilsIt} className="border-b border-line px-4 py-2">
      <ul className="grid gap-1">
        {appraisal.diagnoses.map((diagnosis) => {
          const { symptom } = diagnosis;
          const { share, name } = leadOf(diagnosis);
          return (
            <li key={symptom} className="text-sm">
              <span className="text-ink-soft">{sentence(symptomName(symptom))}: </span>
              <span className="figures font-bold">{Math.round(100 * share)} %</span>{' '}
              <span className="font-semibold">{inSentence(name)}</span>
            </li>
          );
        })}
      </ul>
      <button
        type="button"
        className="mt-0.5 min-h-6 text-sm font-semibold text-pine underline"
        onClick={() => onOpen('why')}
      >
        {texts.whyAndWhatElse}
      </button>
    </section>
  );
}
