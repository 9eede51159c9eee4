import { startValueRows } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';

/** Values to file this chain by, where the maker gives none. */
export function StartValues() {
  const { appraisal } = useJob();
  const { show } = useFrame();
  const { start, gauges } = appraisal.chain;
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4">
      {startValueRows(start, gauges?.setting ?? null, show).map(({ name, value }) => (
        <div key={name} className="contents">
          <dt className="text-ink-soft">{name}</dt>
          <dd className="figures font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
