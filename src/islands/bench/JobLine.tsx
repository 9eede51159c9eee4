import { differenceInCalendarDays } from 'date-fns';
import { ArrowRight, UsersRound } from 'lucide-react';
import type { JobRow } from '../../contract';
import { VerdictMark, verdictTone } from '../../ui/parts/VerdictMark';
import { inSentence, partName, stepName, storyWord } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { useOthers } from '../frame/live';
import * as texts from '#language/screens/bench';

/** The promised day, as one says it at the counter. */
function promised(day: string | null, today: string): { text: string; late: boolean } {
  if (!day) return { text: texts.noDayPromised, late: false };
  const days = differenceInCalendarDays(day, today);
  if (days === 0) return { text: texts.today, late: false };
  if (days === 1) return { text: texts.tomorrow, late: false };
  if (days < 0) return { text: texts.daysLate(-days), late: true };
  return { text: days < 7 ? texts.inDays(days) : day, late: false };
}

/** A job as one line of work: whose, what ails it, what is known, what comes next. */
export function JobLine({ job, today }: { job: JobRow; today: string }) {
  const { unit } = useFrame();
  const here = useOthers().filter(({ at }) => at?.job === job.id);
  const { summary } = job;
  const day = promised(job.promisedFor, today);
  const step = summary.next.step;
  const isGone = job.state === 'handed-over';
  return (
    <li className="border-b border-line">
      <a
        data-job={job.tag}
        href={`/jobs/${job.id}${step ? `?step=${step}` : ''}`}
        className="grid min-h-16 grid-cols-[5.5rem_minmax(11rem,1.1fr)_minmax(11rem,1fr)_minmax(16rem,1.7fr)] items-center gap-x-4 px-2 py-2 hover:bg-well focus-visible:bg-well max-md:grid-cols-[5rem_1fr]"
      >
        <span>
          <span className="block figures text-lg font-bold">{job.tag}</span>
          <span className={`text-sm ${day.late && !isGone ? 'font-bold text-oxide' : 'text-ink-soft'}`}>
            {isGone ? texts.wasHandedOver : day.text}
          </span>
        </span>
        <span className="min-w-0">
          <span className="block truncate font-bold">{job.customer}</span>
          <span className="block truncate text-sm text-ink-soft">{job.saw ?? texts.noSawNamed}</span>
          {here.map(({ page, who, at }) => (
            <span key={page} className="flex items-center gap-1.5 text-sm font-semibold text-steel">
              <UsersRound size={14} aria-hidden="true" className="flex-none" />
              <span className="truncate">{texts.isAtIt(who || texts.somebody, at ? stepName[at.step] : '')}</span>
            </span>
          ))}
        </span>
        <Verdicts summary={summary} />
        <span className="min-w-0 max-md:col-span-2">
          <span className="block truncate text-sm text-ink-soft">
            {job.complaint === '' ? texts.noComplaintWrittenDown : `“${job.complaint}”`}
          </span>
          <span className="flex items-center gap-1.5 font-semibold">
            <ArrowRight size={16} aria-hidden="true" className="shrink-0 text-pine" />
            <span className="line-clamp-2">
              {summary.next.text[unit]}
              {summary.orderReady && step === 'decide' ? texts.orderSlipReady : ''}
            </span>
          </span>
        </span>
      </a>
    </li>
  );
}

/** Verdict marks of the parts that were brought, with their words. */
function Verdicts({ summary }: { summary: JobRow['summary'] }) {
  if (summary.brought.length === 0)
    return <span className="text-sm text-ink-soft max-md:col-span-2">{texts.nothingMeasuredYet}</span>;
  return (
    <span className="flex flex-wrap gap-x-3 gap-y-0.5 max-md:col-span-2">
      {summary.brought.map((part) => {
        const story = summary.stories.find((each) => each.part === part);
        if (!story) return null;
        return (
          <span key={part} className="inline-flex items-center gap-1 text-sm whitespace-nowrap">
            <VerdictMark verdict={story.stands} size={13} />
            <span className="text-ink-soft">{part === 'driveSprocket' ? texts.sprocket : partName[part]}</span>
            <span className={`font-bold ${verdictTone(story.stands)}`}>{inSentence(storyWord(story))}</span>
          </span>
        );
      })}
    </span>
  );
}
