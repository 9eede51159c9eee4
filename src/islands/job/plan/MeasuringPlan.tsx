import { nextSentence, planSummary, nextName, sentence, stepName } from '../../../wording';
import { stepOfReading } from '../../../core/workflow';
import { useFrame } from '../../frame/frame-context';
import { Group } from '../parts/StepHead';
import type { StepProps } from '../step-props';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job';

/**
 * The measuring plan: the shortest list of readings that can decide the job, in the order to take them, with its
 * minutes. It grows shorter with every reading.
 */
export function MeasuringPlan({ onMeasure }: Pick<StepProps, 'onMeasure'>) {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const { steps, minutes } = appraisal.plan;
  return (
    <Group title={texts.measuringPlan} aside={<span aria-live="polite">{planSummary(steps.length, minutes)}</span>}>
      {steps.length === 0 ? (
        <p className="text-ink-soft">{texts.nothingIsAsked}</p>
      ) : (
        <ol className="border-y border-line">
          {steps.map((step, i) => (
            <li key={step.measure} className="border-b border-line last:border-b-0">
              <button
                type="button"
                onClick={() => onMeasure(step.measure, step.at)}
                className="grid min-h-11 w-full grid-cols-[1.75rem_minmax(0,1fr)_5.5rem_4rem] items-center gap-x-2 px-1 py-1 text-left hover:bg-well max-md:grid-cols-[1.75rem_minmax(0,1fr)_4rem]"
              >
                <span className="figures text-sm text-ink-soft">{i + 1}</span>
                <span>
                  <span className="font-semibold">{sentence(nextName(step, unit))}</span>
                  <span className="text-sm text-ink-soft">{reasonAlone(nextSentence(step, unit))}</span>
                </span>
                <span className="text-sm text-ink-soft max-md:hidden">{stepName[stepOfReading(step.measure)]}</span>
                <span className="text-right figures text-sm">{texts.minutesLong(step.minutes)}</span>
              </button>
            </li>
          ))}
        </ol>
      )}
    </Group>
  );
}

/** Why, without what: the name stands before it already. */
const reasonAlone = (said: string): string => said.slice(said.indexOf(': '));
