import { Field } from '../parts/Field';
import { EntryField } from '../parts/EntryField';
import { Group } from '../parts/StepHead';
import { useJob, useJobStore } from '../store/JobContext';
import { useFrame } from '../../frame/frame-context';
import { UNNAMED } from '../../../wording';
import { Tapper } from './Tapper';
import * as texts from '#language/screens/job-identify';

/** Most counts that have a place: after that the loop goes on a nail and is counted by another. */
const MOST_COUNTS = 5;

/** Links: tapped or typed, twice; the cutters and the length round as cross-checks. */
export function LinksView() {
  const { entered, snapshot } = useJob();
  const store = useJobStore();
  const { unit, who } = useFrame();
  const counts = entered.sheet.chain?.driveLinks ?? [];
  const typed = (i: number) => {
    const path = `chain.driveLinks.${i}`;
    return (snapshot.drafts.get(path) ?? snapshot.standing.get(path))?.text ?? '';
  };
  const touched = Array.from({ length: MOST_COUNTS }, (_, i) => typed(i)).filter((text) => text !== '').length;
  const unequal = counts.length >= 2 && new Set(counts).size === counts.length;
  const fields = Math.min(MOST_COUNTS, Math.max(2, touched + (unequal ? 1 : 0)));
  const keep = (count: number) => {
    const free = Array.from({ length: MOST_COUNTS }, (_, i) => i).find((i) => typed(i) === '') ?? MOST_COUNTS - 1;
    store.set(`chain.driveLinks.${free}`, String(count), unit, who || UNNAMED);
  };
  return (
    <>
      <Group title={texts.driveLinks} aside={texts.countTwice}>
        <div className="grid grid-cols-2 gap-6 max-lg:grid-cols-1">
          <Tapper before={counts} onCounted={keep} />
          <div className="grid grid-cols-3 content-start gap-3">
            {Array.from({ length: fields }, (_, i) => (
              <EntryField key={i} path={`chain.driveLinks.${i}`} label={i === 0 ? texts.count : texts.countAgain} />
            ))}
          </div>
        </div>
      </Group>
      <Group title={texts.crossChecks}>
        <div className="grid grid-cols-[8rem_11rem_minmax(0,1fr)] gap-4 max-lg:grid-cols-2">
          <Field path="chain.cutters" />
          <Field path="chain.loopLength" />
          <Field path="chain.sequence" />
        </div>
      </Group>
    </>
  );
}
