import { STEPS, type Step } from '../../core/reading';
import type { JobView } from '../../contract';
import { VerdictChip } from '../../ui/parts/VerdictMark';
import { partName, stepName, storyWord } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { firstStep } from './first-step';
import { JobLayout } from './JobLayout';
import { StepZone } from './StepZone';
import { leadingPart } from './tag/lead';
import { Strip } from './tag/Strip';
import { TagZone } from './tag/TagZone';
import { VerdictHead } from './tag/VerdictHead';
import * as texts from '#language/screens/job';

interface OpeningProps {
  readonly view: JobView;
  /** The step asked for in the address. */
  readonly asked: string;
}

/**
 * A job as the server draws it: whose it is, its steps as links, and the verdicts as they are kept for the Bench.
 * Readings, reasons and instruments are worked out in the browser, which does so at every keystroke anyhow.
 */
export function Opening({ view, asked }: OpeningProps) {
  const step = firstStep(asked, view.kept.next.step);
  return (
    <JobLayout
      step={step}
      plates={null}
      steps={<OpeningSteps view={view} />}
      tag={<OpeningTag view={view} step={step} />}
    >
      <Meanwhile view={view} step={step} />
    </JobLayout>
  );
}

/** The steps as links, until it is known which of them are done. */
export function OpeningSteps({ view }: { view: JobView }) {
  return (
    <StepZone view={view}>
      <ol className="max-md:hidden">
        {STEPS.map((each) => (
          <li key={each}>
            <a
              href={`?step=${each}`}
              className="flex min-h-11 items-center pr-2.5 pl-10 hover:bg-well max-lg:justify-center max-lg:px-0.5 max-lg:text-[11px]"
            >
              {stepName[each]}
            </a>
          </li>
        ))}
      </ol>
    </StepZone>
  );
}

/** The verdicts as they are kept, until they are worked out. */
export function OpeningTag({ view, step }: { view: JobView; step: Step }) {
  return (
    <TagZone strip={<Strip isNews={false} story={leadingStory(view, step)} next={null} />}>
      <KeptVerdicts view={view} step={step} />
    </TagZone>
  );
}

/** What the customer said, what decides and what is to do next, large: there to be read until the step answers. */
function Meanwhile({ view: { kept, readings }, step }: { view: JobView; step: Step }) {
  const { unit } = useFrame();
  const complaint = readings.find(({ path }) => path === 'job.complaint')?.text;
  const leading = leadingStory({ kept }, step);
  return (
    <>
      <p className="unhurried py-3 text-ink-soft">{texts.opening}</p>
      {complaint && <p className="mb-2 text-xl">“{complaint}”</p>}
      <p className="text-2xl">
        {leading?.moment === 'came' && `${partName[leading.part]}: ${kept.why[leading.part][unit]} `}
        {kept.next.step === null ? kept.next.text[unit] : texts.nextIs(kept.next.text[unit])}
      </p>
    </>
  );
}

/** What is said of the part of the step. */
function leadingStory({ kept }: Pick<JobView, 'kept'>, step: Step) {
  const first = leadingPart(kept.judged, step);
  return kept.stories.find(({ part }) => part === first);
}

/** Verdicts by their words, the part of the step first. */
function KeptVerdicts({ view: { kept }, step }: { view: JobView; step: Step }) {
  const leading = leadingStory({ kept }, step);
  if (!leading) return null;
  return (
    <>
      <VerdictHead story={leading} />
      <ul>
        {kept.stories
          .filter((story) => story !== leading)
          .map((story) => (
            <li key={story.part} className="flex items-center justify-between gap-2 border-b border-line px-4 py-2">
              <span className="text-sm font-semibold">{partName[story.part]}</span>
              <VerdictChip verdict={story.stands} word={storyWord(story)} />
            </li>
          ))}
      </ul>
    </>
  );
}
