import type { ReactNode } from 'react';
import type { PartSaid } from '../../../core/course';
import { VerdictMark, verdictGround, verdictTone } from '../../../ui/parts/VerdictMark';
import { momentWord, partName, storyWord } from '../../../wording';

interface VerdictHeadProps {
  readonly story: PartSaid;
  /** What decided it. */
  readonly children?: ReactNode;
}

/** What is said of the part that leads the tag, in large letters: its verdict, or what the plan does with it. */
export function VerdictHead({ story, children }: VerdictHeadProps) {
  const { part, moment, stands } = story;
  const word = storyWord(story);
  return (
    <section
      aria-label={`${partName[part]}: ${word}`}
      className={`border-b border-line ${verdictGround(stands)} px-4 py-3`}
    >
      <p className="text-sm font-semibold">
        {partName[part]}
        {moment !== 'came' && <span className="font-normal">, {momentWord[moment]}</span>}
      </p>
      <p className={`flex items-center gap-2 text-[26px] leading-tight font-extrabold ${verdictTone(stands)}`}>
        <VerdictMark verdict={stands} size={24} />
        {word}
      </p>
      {children}
    </section>
  );
}
