import { DESERVED } from '../../../core/doubt';
import type { Part } from '../../../core/reading';
import type { Measuring } from '../step-props';
import { actionWord, sharesSentence } from '../../../wording';
import { useJob } from '../store/JobContext';
import { WhyUnsure } from './WhyUnsure';

interface SharesProps {
  readonly part: Part;
  readonly onMeasure: Measuring;
}

const SHARE_LOOK = { keep: 'bg-leaf', clean: 'bg-steel', recondition: 'bg-brass', replace: 'bg-oxide' } as const;

/** With less doubt than this nobody asks why. */
const WORTH_ASKING = 0.005;

/** The chance of each verdict as one line and one bar, where everything is there that the verdict waits for. */
export function Shares({ part, onMeasure }: SharesProps) {
  const { appraisal } = useJob();
  const doubt = appraisal.doubts[part];
  if (!doubt) return null;
  return (
    <div className="mt-2">
      <p className="text-sm text-pretty">{sharesSentence(doubt, appraisal.verdicts[part].action)}</p>
      <div aria-hidden="true" className="mt-1 flex h-2 bg-well">
        {DESERVED.map((deserved) => (
          <div
            key={deserved}
            className={SHARE_LOOK[deserved]}
            style={{ width: `${100 * doubt.shares[deserved]}%` }}
            title={`${actionWord[deserved]} ${(100 * doubt.shares[deserved]).toFixed(0)} %`}
          />
        ))}
      </div>
      {doubt.wrong > WORTH_ASKING && <WhyUnsure key={part} part={part} onMeasure={onMeasure} />}
    </div>
  );
}
