import { ArrowRight } from 'lucide-react';
import { judgedParts } from '../../../core/judge';
import type { Measuring } from '../step-props';
import { nextSentence, planSummary, stopSentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job';

/** The measurement that takes most off the doubt per minute, with a button that goes there. */
export function NextMeasurement({ onMeasure }: { readonly onMeasure: Measuring }) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const { steps, minutes } = appraisal.plan;
  const [next] = steps;
  if (!next) return <Stop />;
  return (
    <section aria-label={texts.measureNext} className="border-b border-line px-4 py-3">
      <h2 className="text-sm font-semibold text-ink-soft">
        {texts.measureNextIn} <span className="figures">{texts.minutesLong(next.minutes)}</span>
      </h2>
      <p className="mb-2 text-sm">{nextSentence(next, unit)}</p>
      <button
        type="button"
        className="flex act w-full items-center justify-center gap-2"
        onClick={() => onMeasure(next.measure, next.at)}
      >
        {texts.goThere}
        <ArrowRight size={16} aria-hidden="true" />
      </button>
      <p className="mt-1.5 text-sm text-ink-soft">{texts.toDecideTheJob(planSummary(steps.length, minutes))}</p>
    </section>
  );
}

/** A chance of a wrong verdict above this is worth asking about. */
const UNSURE = 0.05;

/**
 * Nothing is waited for: said, so that nobody looks for more. Of a job of which nothing was brought nothing is said.
 */
function Stop() {
  const { appraisal, entered } = useJob();
  const parts = judgedParts(entered.sheet);
  if (parts.length === 0) return null;
  const unsure = parts.filter((part) => (appraisal.doubts[part]?.wrong ?? 0) > UNSURE);
  return (
    <section aria-label={texts.measureNext} className="border-b border-line px-4 py-3 text-sm">
      <h2 className="font-semibold">{texts.stopNoReadingIsWaited}</h2>
      <p className="text-ink-soft">{stopSentence(unsure)}</p>
    </section>
  );
}
