import type { Measuring } from '../step-props';
import type { PartStory } from '../../../core/course';
import type { Verdict } from '../../../core/judge';
import { VerdictChip } from '../../../ui/parts/VerdictMark';
import {
  checkSentence,
  limitSource,
  list,
  operationWordIn,
  partName,
  sentence,
  storyWord,
  valueWithDoubt,
  verdictHeadline,
  verdictReason,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { useNewPart } from '../store/use-new-part';
import { Shares } from './Shares';
import { VerdictHead } from './VerdictHead';
import * as texts from '#language/screens/job';

interface LeadVerdictProps {
  readonly story: PartStory;
  readonly onMeasure: Measuring;
}

/** The part the step is about: its verdict with all that decided it, or what the signed plan does with it. */
export function LeadVerdict({ story, onMeasure }: LeadVerdictProps) {
  const { appraisal } = useJob();
  const verdict = appraisal.verdicts[story.part];
  return (
    <VerdictHead story={story}>
      {story.moment === 'came' ? (
        <Found verdict={verdict} onMeasure={onMeasure} />
      ) : (
        <Planned story={story} verdict={verdict} onMeasure={onMeasure} />
      )}
    </VerdictHead>
  );
}

interface FoundProps {
  readonly verdict: Verdict;
  readonly onMeasure: Measuring;
}

/** What is done with a part by the signed plan, and what was found of it. */
function Planned({ story, verdict, onMeasure }: FoundProps & { readonly story: PartStory }) {
  const { view } = useJob();
  const { moment, left, done, contradicted } = story;
  const newPart = useNewPart(story);
  const work = (operations: PartStory['left']) =>
    list(operations.map((operation) => operationWordIn(operation, view.schools)));
  return (
    <>
      {newPart && <p className="mt-1 font-semibold">{newPart}</p>}
      {left.length > 0 && <p className="mt-1 font-semibold">{texts.stillToDo(work(left))}</p>}
      {done.length > 0 && <p className="mt-1">{texts.isDone(work(done))}</p>}
      {contradicted && <p className="mt-1 font-semibold">{texts.planKeepsWhatIsCondemned}</p>}
      {verdict.action !== story.stands && (
        <p className="mt-2 border-t border-line-strong/40 pt-2 text-sm">{texts.found(verdictHeadline(verdict))}</p>
      )}
      <Reasons verdict={verdict} most={2} />
      {moment === 'planned' && !newPart && (
        <>
          <Against verdict={verdict} onMeasure={onMeasure} />
          <Doubt verdict={verdict} />
          <Shares part={story.part} onMeasure={onMeasure} />
        </>
      )}
    </>
  );
}

/** The verdict as it stands, with all that decided it. */
function Found({ verdict, onMeasure }: FoundProps) {
  const { view } = useJob();
  const { part, action, operations } = verdict;
  const work = list(operations.map((operation) => operationWordIn(operation, view.schools)));
  return (
    <>
      {operations.length > 0 && (
        <p className="mt-1 font-semibold">
          {action === 'undecided' ? texts.soFar : ''}
          {action === 'undecided' ? work : sentence(work)}.
        </p>
      )}
      <Reasons verdict={verdict} most={3} />
      <Against verdict={verdict} onMeasure={onMeasure} />
      <Doubt verdict={verdict} />
      <Shares part={part} onMeasure={onMeasure} />
    </>
  );
}

/** The first reasons of a verdict, and how many more there are. */
function Reasons({ verdict: { reasons }, most }: { readonly verdict: Verdict; readonly most: number }) {
  const { unit } = useFrame();
  return (
    <ul className="mt-1.5 grid gap-1 text-sm">
      {reasons.slice(0, most).map((reason) => {
        const said = verdictReason(reason, unit);
        return <li key={said}>{said}</li>;
      })}
      {reasons.length > most && <li className="text-ink-soft">{texts.andMoreUnderDecide(reasons.length - most)}</li>}
    </ul>
  );
}

/** What speaks against the verdict, each with the way to make it again. */
function Against({ verdict: { reasons, against }, onMeasure }: FoundProps) {
  const { unit } = useFrame();
  if (against.length === 0) return null;
  const saidAlready = new Set(reasons.slice(0, 3).map((reason) => verdictReason(reason, unit)));
  return (
    <section aria-label={texts.speaksAgainstIt} className="mt-2 border-t border-line-strong/40 pt-2 text-sm">
      <h3 className="font-semibold">{texts.speaksAgainstIt}</h3>
      <ul className="grid gap-1">
        {against.slice(0, 2).map((check) => {
          const said = checkSentence(check, unit);
          const { again } = check;
          return (
            <li key={said}>
              {saidAlready.has(said) ? texts.saidAbove : said}{' '}
              {again && (
                <button type="button" className="min-h-6 font-semibold underline" onClick={() => onMeasure(again)}>
                  {texts.makeItAgain}
                </button>
              )}
            </li>
          );
        })}
        {against.length > 2 && <li className="text-ink-soft">{texts.andMoreUnderDecide(against.length - 2)}</li>}
      </ul>
    </section>
  );
}

/** The deciding number, its limit with where it comes from, and how sure the call is. */
function Doubt({ verdict: { decidedBy: check } }: { verdict: Verdict }) {
  const { unit, show } = useFrame();
  if (!check || check.value === null || check.limit === null) return null;
  const limit = check.unit === 'mm' ? show(check.limit) : check.unit === '%' ? `${check.limit} %` : String(check.limit);
  return (
    <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 border-t border-line-strong/40 pt-2 text-sm">
      <dt className="text-ink-soft">{texts.restsOn}</dt>
      <dd className="figures font-semibold">{valueWithDoubt(check, unit)}</dd>
      <dt className="text-ink-soft">{texts.limit}</dt>
      <dd>
        <span className="figures font-semibold">{limit}</span>, {limitSource(check)}
      </dd>
      {check.probability !== null && check.condemns && (
        <>
          <dt className="text-ink-soft">{texts.doubt}</dt>
          <dd>{doubtText(check.probability)}</dd>
        </>
      )}
    </dl>
  );
}

/** The probability in words with its figure, never rounded to certainty. */
function doubtText(probability: number): string {
  const good = Math.min(99.9, Math.max(0.1, probability * 100));
  const figure = good > 99 || good < 1 ? good.toFixed(1) : good.toFixed(0);
  if (probability >= 0.95) return texts.sureToBeWithin(figure);
  if (probability <= 0.05) return texts.sureToBeBeyond((100 - Number(figure)).toFixed(good < 1 ? 1 : 0));
  return texts.tooCloseToCall(figure);
}

/** Another part in two lines. */
export function OtherVerdict({ story }: { readonly story: PartStory }) {
  const { unit } = useFrame();
  const { appraisal } = useJob();
  const newPart = useNewPart(story);
  const [reason] = appraisal.verdicts[story.part].reasons;
  const said = newPart ?? (reason && verdictReason(reason, unit));
  return (
    <li className="border-b border-line px-4 py-2">
      <div className="flex items-center justify-between gap-2">
        <span className="text-sm font-semibold">{partName[story.part]}</span>
        <VerdictChip verdict={story.stands} word={storyWord(story)} />
      </div>
      {said && <p className="mt-0.5 line-clamp-2 text-sm text-ink-soft max-md:line-clamp-1">{said}</p>}
    </li>
  );
}
