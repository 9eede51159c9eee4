import { foreseenOn, isSame, partOf, RETURNING, SAME } from '../../../core/past';
import { judgedParts } from '../../../core/judge';
import { foreseenLine, lookName, partName, pastSays } from '../../../wording';
import { useJob } from '../store/JobContext';
import { useFrame } from '../../frame/frame-context';
import { Field } from './Field';
import { Group } from './StepHead';
import * as texts from '#language/screens/job-take-in';

/** What earlier jobs let foresee of each part that comes again, and whether it is that part. */
export function Returning() {
  const { appraisal, entered } = useJob();
  const { unit } = useFrame();
  const { sheet } = entered;
  const came = judgedParts(sheet);
  // Of what did not come nothing is asked; until somebody says what came, of all.
  const foreseen = foreseenOn(sheet).filter((each) => came.length === 0 || came.includes(partOf(each)));
  if (foreseen.length === 0) return null;
  const { spared, wouldSpare } = appraisal.past;
  return (
    <Group title={texts.returning}>
      <p className="mb-2 text-sm text-ink-soft">{texts.returningHint}</p>
      <div className="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
        {RETURNING.map((part) => {
          const its = foreseen.filter((each) => partOf(each) === part);
          if (its.length === 0) return null;
          // Only a bar's depth is so many readings that any can be spared.
          const isBar = part === 'bar';
          const says = pastSays(isSame(part, sheet), {
            spared: isBar ? spared : [],
            wouldSpare: isBar ? (wouldSpare?.spares ?? []) : [],
          });
          return (
            <section key={part} aria-label={partName[part]} className="grid content-start gap-2">
              <h4 className="font-semibold">{partName[part]}</h4>
              <ul className="text-sm tabular-nums">
                {its.map((each) => (
                  <li key={each.of}>{foreseenLine(each, unit)}</li>
                ))}
              </ul>
              <p className="text-sm text-ink-soft">{texts.foreseenFrom(lookName(its[0]!))}</p>
              <Field path={SAME[part]} />
              <p className="text-sm">{says}</p>
            </section>
          );
        })}
      </div>
    </Group>
  );
}
