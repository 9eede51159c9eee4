import { useState } from 'react';
import { Unlink } from 'lucide-react';
import type { Appraisal } from '../../../core/assess';
import type { Part, Step } from '../../../core/reading';
import { partOfCause } from '../../../core/symptom';
import { isClash } from '../../../core/fit';
import { NewsOfOthers } from '../others/NewsOfOthers';
import { OthersHere } from '../others/OthersHere';
import { useNews } from '../others/use-news';
import type { Measuring } from '../step-props';
import { fitReason, nextName, shopMoment } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { Ails } from './Ails';
import { leadingPart } from './lead';
import { NextMeasurement } from './Next';
import { Saving } from './Saving';
import { Strip } from './Strip';
import { TagZone } from './TagZone';
import { LeadVerdict, OtherVerdict } from './Verdicts';
import * as texts from '#language/screens/job';

/** The part that the likeliest cause lies in, where causes are looked for. */
function partInFront(step: Step, { diagnoses }: Appraisal): Part | null {
  const cause = step === 'why' ? diagnoses[0]?.causes[0]?.cause : undefined;
  return cause ? partOfCause(cause) : null;
}

interface TagProps {
  readonly step: Step;
  /** The part that the step has in hand; null where it says none. */
  readonly part: Part | null;
  /** Goes to what the assessment asks for. */
  readonly onMeasure: Measuring;
  readonly onOpen: (step: Step) => void;
  /** Goes to a field by its place. */
  readonly onShow: (path: string) => void;
}

/**
 * The tag at the right: verdict, deciding reason, doubt, and the next best measurement. It changes with every reading.
 */
export function Tag({ step, part, ...ways }: TagProps) {
  const [isOpen, setOpen] = useState(false);
  // On a phone what is gone to lies under the tag: it is shut.
  const onMeasure: Measuring = (asked, at) => {
    setOpen(false);
    ways.onMeasure(asked, at);
  };
  const onOpen = (next: Step) => {
    setOpen(false);
    ways.onOpen(next);
  };
  const onShow = (path: string) => {
    setOpen(false);
    ways.onShow(path);
  };
  const { appraisal, stories } = useJob();
  const [news, putAside] = useNews();
  const there = stories.map((story) => story.part);
  const first = leadingPart(there, step, part ?? partInFront(step, appraisal));
  const leading = stories.find((story) => story.part === first);
  const hasGone = stories[0]?.moment === 'out';
  const [next] = appraisal.plan.steps;
  const { unit } = useFrame();
  return (
    <TagZone
      strip={<Strip isNews={news !== null} story={leading} next={hasGone || !next ? null : nextName(next, unit)} />}
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
      below={<Saving onShow={onShow} />}
    >
      {news && <NewsOfOthers news={news} onSeen={putAside} />}
      <Clashes />
      {leading ? <LeadVerdict story={leading} onMeasure={onMeasure} /> : <NothingYet />}
      <ul>
        {stories
          .filter((story) => story !== leading)
          .map((story) => (
            <OtherVerdict key={story.part} story={story} />
          ))}
      </ul>
      {/* Below the verdicts: whoever comes and goes moves none of them. */}
      <OthersHere />
      <RulesThen />
      {/* Of a saw that has gone nothing is asked any more. */}
      {!hasGone && (
        <>
          <Ails onOpen={onOpen} />
          <NextMeasurement onMeasure={onMeasure} />
        </>
      )}
    </TagZone>
  );
}

/** Rules of the set that are broken: said before any verdict, because a sound part on the wrong set is no use. */
function Clashes() {
  const { appraisal } = useJob();
  const broken = appraisal.fitPlanned.filter(({ rule, holds }) => holds === false && isClash(rule));
  if (broken.length === 0) return null;
  return (
    <section aria-label={texts.doesNotBelongTogether} className="border-b border-line bg-oxide-pale px-4 py-2.5">
      <p className="flex items-center gap-2 font-extrabold text-oxide">
        <Unlink size={18} strokeWidth={2.6} aria-hidden="true" />
        {texts.doesNotBelongTogether}
      </p>
      {broken.map((judgement) => (
        <p key={judgement.rule} className="mt-1 text-sm">
          {fitReason(judgement)}
        </p>
      ))}
    </section>
  );
}

/** That a job which has gone is told by the rules it went by, where those in force would say something else. */
function RulesThen() {
  const { view } = useJob();
  if (view.rulesAsOf === null) return null;
  return (
    <p className="border-b border-line px-4 py-2.5 text-sm text-ink-soft">
      {texts.judgedAsItWent(shopMoment(view.rulesAsOf, view.shop))}
    </p>
  );
}

function NothingYet() {
  return (
    <div className="border-b border-line p-4">
      <p className="text-lg font-bold text-steel">{texts.nothingMeasuredYet}</p>
      <p className="mt-1 text-ink-soft">{texts.verdictsAppearHere}</p>
    </div>
  );
}
