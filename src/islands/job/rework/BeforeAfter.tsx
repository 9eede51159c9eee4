import { reworkFigures } from '../../../core/bar/checks';
import { Notice } from '../../../ui/parts/Notice';
import { actionWord, verdictReason } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';

const EDGES = ['A', 'B'] as const;

const ROWS = [
  { key: 'step', name: 'Largest step' },
  { key: 'play', name: 'Most side play' },
  { key: 'depth', name: 'Weakest depth' },
  { key: 'room', name: 'Least room under the link' },
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
    <section aria-label="Before and after" className="my-2">
      {failed ? (
        <Notice kind="error">
          <p className="font-bold">Finished after the rework: {actionWord[verdicts.bar.action].toLowerCase()}</p>
          {verdicts.bar.reasons.slice(0, 2).map((reason) => {
            const said = verdictReason(reason, unit);
            return <p key={said}>{said}</p>;
          })}
        </Notice>
      ) : (
        verdicts.bar.action === 'keep' && (
          <Notice kind="good">Measured again, and nothing speaks against it: keep.</Notice>
        )
      )}
      <dl className="mt-2 grid grid-cols-4 gap-3">
        {ROWS.map(({ key, name }) => (
          <div key={key} className="border-t-2 border-ink">
            <dt className="text-sm text-ink-soft">{name}</dt>
            <dd className="figures">
              {before[key] === null ? '–' : show(before[key])} →{' '}
              <span className="text-lg font-bold">{after[key] === null ? 'not measured' : show(after[key])}</span>
            </dd>
          </div>
        ))}
      </dl>
      {left.length > 0 && (
        <p className="mt-1 text-sm">
          {Math.min(...left) === 0
            ? 'No dressing left at its weakest edge.'
            : `Good for about ${Math.min(...left)} more dressings.`}
        </p>
      )}
    </section>
  );
}
