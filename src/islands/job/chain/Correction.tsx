import { checkSentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';

/** What filing back to the worst comes to: the length, what is left, the sides against each other, and the advice at half beside the limit. */
export function Correction() {
  const { appraisal } = useJob();
  const { show, unit } = useFrame();
  const { correction, filingsLeft, hoursLeft, imbalance, cutterLimit } = appraisal.chain;
  if (!correction)
    return (
      <p className="text-ink-soft">
        All cutters, or the shortest and the longest of each side, say how far everything must be filed back.
      </p>
    );
  const figures = [
    {
      name: 'All filed back to',
      value: show(correction.length.value),
      also: `by ${correction.side} ${correction.cutter}; the mark is at ${show(cutterLimit)}`,
    },
    { name: 'Filings left', value: String(filingsLeft), also: `about ${hoursLeft} running hours at the shop’s rate` },
    {
      name: 'Left less right',
      value: imbalance ? show(imbalance.value) : '–',
      also: imbalance ? 'mean lengths; the longer side draws the cut' : 'measure both sides',
    },
  ];
  const half = appraisal.checks.find(({ id }) => id === 'chain.half');
  const cutters = appraisal.checks.find(({ id }) => id === 'chain.cutter');
  return (
    <>
      <dl className="grid grid-cols-3 gap-x-6 max-md:grid-cols-1">
        {figures.map(({ name, value, also }) => (
          <div key={name}>
            <dt className="text-sm font-semibold text-ink-soft">{name}</dt>
            <dd>
              <span className="block figures text-2xl leading-tight font-bold">{value}</span>
              <span className="text-sm text-ink-soft">{also}</span>
            </dd>
          </div>
        ))}
      </dl>
      {half && cutters && (
        <ul className="text-sm" aria-label="Flat spots and chips: both schools">
          <li>
            <strong>At half:</strong> {checkSentence(half, unit)}
          </li>
          <li>
            <strong>At the mark:</strong> {checkSentence(cutters, unit)}
          </li>
        </ul>
      )}
    </>
  );
}
