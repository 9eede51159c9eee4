import { effectOf, type EvidenceItem } from '../../../core/identify';
import { Empty } from '../../../ui/parts/Notice';
import { effectSentence, identifiedPartName, identityReason, readingName, sentence } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { useField } from '../store/useField';
import * as texts from '#language/screens/job-identify';

/** Everything that speaks of the numbers. Each can be set aside, and what that does is shown before it is done. */
export function EvidenceView() {
  const { appraisal } = useJob();
  const { evidence } = appraisal.identity;
  if (evidence.length === 0) return <Empty title={texts.nothingSpeaksOfTheNumbers}>{texts.readAMarkMeasure}</Empty>;
  return (
    <ul className="border-t border-line">
      {evidence.map((item) => (
        <Item key={item.id} item={item} />
      ))}
    </ul>
  );
}

function Item({ item }: { item: EvidenceItem }) {
  const { appraisal, entered, view } = useJob();
  const { unit } = useFrame();
  const field = useField('setAside');
  const aside = entered.sheet.setAside ?? [];
  const effects = effectOf(entered.sheet, appraisal.identity, item.id, view.codes);
  const toggle = () => {
    const next = item.setAside ? aside.filter((id) => id !== item.id) : [...aside, item.id];
    field.set(next.join(', '));
  };
  return (
    <li
      className={`grid grid-cols-[8.5rem_minmax(0,1fr)_8rem] items-start gap-4 border-b border-line py-2 max-lg:grid-cols-[minmax(0,1fr)_8rem] ${item.setAside ? 'bg-well' : ''}`}
    >
      <div className="px-2 max-lg:col-span-2">
        <p className="text-sm font-semibold">{sentence(readingName(item.id))}</p>
        <p className="text-sm text-ink-soft">{identifiedPartName[item.part]}</p>
      </div>
      <div className="text-sm">
        {item.says.map((reason) => {
          const said = identityReason(reason, unit);
          return (
            <p key={said} className={item.setAside ? 'line-through' : ''}>
              {said}
            </p>
          );
        })}
        <p className="mt-0.5 text-ink-soft">
          {item.setAside ? texts.ifPutBack : texts.withoutIt}
          {effects.length === 0 ? texts.nothingChanges : `${effects.map(effectSentence).join('; ')}.`}
        </p>
      </div>
      <button type="button" className="quiet" onClick={toggle}>
        {item.setAside ? texts.putBack : texts.setAside}
      </button>
    </li>
  );
}
