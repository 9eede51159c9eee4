import { isRenewed } from '../../../core/course';
import type { CheckId } from '../../../core/judge';
import type { OrderedPartView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { neededPart, plannedPartName } from '../../../wording';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import { isTold, useJobData } from '../store/use-job-data';
import { StockAnswers } from './StockAnswers';
import * as texts from '#language/screens/job-order';
import { shelfWaits } from '#language/screens/offline';

/** Checks that a small part of the drive is renewed for. */
const SMALL: readonly CheckId[] = ['sprocket.drum', 'sprocket.bearing', 'sprocket.clip'];

/** Every condemned part beside the chain: what a new one must be, and what the shelf answers. */
export function OrderedParts() {
  const { stories, appraisal } = useJob();
  const { data: found } = useJobData<readonly OrderedPartView[]>('order-parts.json');
  // What the signed plan renews stands among its parts.
  const isAsked = stories.some((story) => story.part !== 'chain' && story.stands === 'replace' && !isRenewed(story));
  const isSmallAsked = appraisal.checks.some(({ id, outcome }) => outcome === 'fail' && SMALL.includes(id));
  if (!(isAsked || isSmallAsked) || (isTold(found) && found.length === 0)) return null;
  return (
    <Group title={texts.otherPartsToReplace}>
      {found === null && <p className="text-ink-soft">{texts.lookingOnTheShelf}</p>}
      {found === 'failed' && <Notice kind="error">{texts.stockDidNotAnswer}</Notice>}
      {found === 'away' && <Notice kind="caution">{shelfWaits}</Notice>}
      {isTold(found) &&
        found.map(({ part, need, answers }) => (
          <section key={part} aria-label={texts.orderNamed(plannedPartName[part].toLowerCase())} className="mb-3">
            <h4 className="font-bold">{plannedPartName[part]}</h4>
            <p className="text-sm">{neededPart(need)}</p>
            {answers.length === 0 ? (
              <p className="text-sm text-ink-soft">{texts.nothingComesNear}</p>
            ) : (
              <StockAnswers answers={answers} />
            )}
          </section>
        ))}
    </Group>
  );
}
