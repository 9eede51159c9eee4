import type { OrderedPartView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { neededPart, partName } from '../../../wording';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { useJobData } from '../store/use-job-data';
import { StockAnswers } from './StockAnswers';

/** Every condemned part beside the chain: what a new one must be, and what the shelf answers. */
export function OrderedParts() {
  const { appraisal } = useJob();
  const { data: found } = useJobData<readonly OrderedPartView[]>('order-parts.json');
  const condemned = (['bar', 'nose', 'driveSprocket'] as const).filter(
    (part) => appraisal.verdicts[part].action === 'replace',
  );
  if (condemned.length === 0) return null;
  return (
    <Group title="Other parts to replace">
      {found === null && <p className="text-ink-soft">Looking on the shelf…</p>}
      {found === 'failed' && <Notice kind="error">The stock list did not answer. Try again in a moment.</Notice>}
      {found !== null &&
        found !== 'failed' &&
        found.map(({ part, need, answers }) => (
          <section key={part} aria-label={`Order: ${partName[part].toLowerCase()}`} className="mb-3">
            <h4 className="font-bold">{partName[part]}</h4>
            <p className="text-sm">{neededPart(need)}</p>
            {answers.length === 0 ? (
              <p className="text-sm text-ink-soft">Nothing on the shelf comes near: order by these.</p>
            ) : (
              <StockAnswers answers={answers} />
            )}
          </section>
        ))}
    </Group>
  );
}
