import { reworkFigures } from '../../../core/bar/checks';
import { Notice } from '../../../ui/parts/Notice';
import { actionWord, verdictReason } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-rework';

const EDGES = ['A', 'B'] as const;

const ROWS = [
  { key: 'step', name: texts.largestStep },
  { key: 'play', name: texts.mostSidePlay },
  { key: 'depth', name: texts.weakestDepth },
  { key: 'room', name: texts.leastRoomUnderTheLink },
] as const;

/** What the rework gained and what is left; a bar that fails after dressing says so first. */
export function BeforeAfter() {
  const { appraisal } = useJob();
  const { show, unit } = useFrame();
  const { bar, verdicts } = appraisal;
  if (!bar.measuredAgain) return null;
  const { before, after } = reworkFigures(bar);
  const left = EDGES.map((edge) => bar.standing[edge].dressing?.dressingsLeft ?? null).filter((each) => each !== null);
  const failed = verdicts.bar.action === 'replace';
  return (
    <section aria-label={texts.beforeAndAfter} className="my-2">
      {failed ? (
        <Notice kind="error">
          <p className="font-bold">{texts.finishedAfterTheRework(actionWord[verdicts.bar.action].toLowerCase())}</p>
          {verdicts.bar.reasons.slice(0, 2).map((reason) => {
            const said = verdictReason(reason, unit);
            return <p key={said}>{said}</p>;
          })}
        </Notice>
      ) : (
        verdicts.bar.action === 'keep' && <Notice kind="good">{texts.measuredAgainAndNothingSpeaks}</Notice>
      )}
      <dl className="mt-2 grid grid-cols-4 gap-3">
        {ROWS.map(({ key, name }) => (
          <div key={key} className="border-t-2 border-ink">
            <dt className="text-sm text-ink-soft">{name}</dt>
            <dd className="figures">
              {before[key] === null ? '–' : show(before[key])} →{' '}
              <span className="text-lg font-bold">{after[key] === null ? texts.notMeasured : show(after[key])}</span>
            </dd>
          </div>
        ))}
      </dl>
      {left.length > 0 && (
        <p className="mt-1 text-sm">
          {Math.min(...left) === 0 ? texts.noDressingLeft : texts.goodForAboutMoreDressings(Math.min(...left))}
        </p>
      )}
    </section>
  );
}
