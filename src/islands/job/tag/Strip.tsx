import type { PartSaid } from '../../../core/course';
import { VerdictMark, verdictTone } from '../../../ui/parts/VerdictMark';
import { partName, storyWord } from '../../../wording';
import * as texts from '#language/screens/job';

interface StripProps {
  /** Whether somebody else changed a verdict: what and who stands in the tag. */
  readonly isNews: boolean;
  /** The part that leads the tag; nothing while nothing was measured. */
  readonly story: PartSaid | undefined;
  /** What is to be measured next, in words. */
  readonly next: string | null;
}

/** The tag in one line: the part in hand, its word, and the next reading. */
export function Strip({ isNews, story, next }: StripProps) {
  return (
    <span className="min-w-0 flex-1 text-sm leading-tight">
      {isNews && <strong className="block text-brass">{texts.changedElsewhere}</strong>}
      {story ? (
        <span className={`flex items-center gap-1.5 font-extrabold ${verdictTone(story.stands)}`}>
          <VerdictMark verdict={story.stands} size={16} />
          {`${partName[story.part]}: ${storyWord(story)}`}
        </span>
      ) : (
        <span className="font-bold text-steel">{texts.noVerdictYet}</span>
      )}
      {next && <span className="block text-ink-soft">{texts.nextReading(next)}</span>}
    </span>
  );
}
