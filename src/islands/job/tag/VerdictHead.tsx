import type { ReactNode } from 'react';
import type { Part } from '../../../core/reading';
import type { Action } from '../../../core/sheet';
import { VerdictMark, verdictGround, verdictTone } from '../../../ui/parts/VerdictMark';
import { actionWord, partName } from '../../../wording';

interface VerdictHeadProps {
  readonly part: Part;
  readonly action: Action;
  /** What decided it. */
  readonly children?: ReactNode;
}

/** The verdict that leads the tag, in large letters. */
export function VerdictHead({ part, action, children }: VerdictHeadProps) {
  return (
    <section
      aria-label={`${partName[part]}: ${actionWord[action]}`}
      className={`border-b border-line ${verdictGround(action)} px-4 py-3`}
    >
      <p className="text-sm font-semibold">{partName[part]}</p>
      <p className={`flex items-center gap-2 text-[26px] leading-tight font-extrabold ${verdictTone(action)}`}>
        <VerdictMark verdict={action} size={24} />
        {actionWord[action]}
      </p>
      {children}
    </section>
  );
}
