import { Check, HelpCircle, X } from 'lucide-react';
import type { FitJudgement } from '../../../core/fit';
import { fitReason, fitRuleName } from '../../../wording';
import * as texts from '#language/screens/job-decide';

const HOLDS = {
  true: { icon: Check, word: texts.holds, tone: 'text-leaf' },
  false: { icon: X, word: texts.broken, tone: 'text-oxide' },
  null: { icon: HelpCircle, word: texts.notKnown, tone: 'text-steel' },
} as const;

/** The rules of the set, broken ones first. */
export function FitRules({ fit }: { fit: readonly FitJudgement[] }) {
  const rank = ({ holds }: FitJudgement) => (holds === false ? 0 : holds === null ? 1 : 2);
  return (
    <ul className="grid grid-cols-2 gap-x-6 gap-y-1.5 max-lg:grid-cols-1">
      {[...fit]
        .sort((a, b) => rank(a) - rank(b))
        .map((judgement) => {
          const { icon: Icon, word, tone } = HOLDS[String(judgement.holds) as keyof typeof HOLDS];
          return (
            <li key={judgement.rule} className="flex gap-2 text-sm">
              <Icon size={17} strokeWidth={3} aria-label={word} className={`mt-0.5 shrink-0 ${tone}`} />
              <span>
                <span className="font-semibold">{fitRuleName[judgement.rule]}.</span> {fitReason(judgement)}
              </span>
            </li>
          );
        })}
    </ul>
  );
}
