import { UsersRound } from 'lucide-react';
import { isReadingPath } from '../../../core/sheet';
import type { Here } from '../../../contract';
import { readingName, stepName } from '../../../wording';
import { useOthers } from '../../frame/live';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job';

/** Where somebody is, in words: the field they type into, or their step. */
function placeSaid({ who, at }: Here): string {
  const name = who || texts.somebody;
  if (!at) return name;
  if (at.path !== null && isReadingPath(at.path)) return texts.isTypingInto(name, readingName(at.path));
  return texts.isAtStep(name, stepName[at.step]);
}

/** Who else is at this job just now, and at what. */
export function OthersHere() {
  const { id } = useJob().view.job;
  const others = useOthers().filter(({ at }) => at?.job === id);
  if (others.length === 0) return null;
  return (
    // Where others are is looked up, and not read aloud with each of their fields.
    <section
      aria-label={texts.othersHere}
      aria-live="off"
      className="border-b border-line bg-steel-pale px-4 py-2 text-sm"
    >
      {others.map((here) => (
        <p key={here.page} className="flex items-center gap-2">
          <UsersRound size={16} aria-hidden="true" className="flex-none text-steel" />
          {placeSaid(here)}
        </p>
      ))}
    </section>
  );
}
