import type { NumbersView, SawView } from '../../contract';
import { kickbackClassWord, marksText } from '../../wording';
import * as texts from '#language/screens/gear';

/** What is ordered for a saw: its numbers, its sprocket, and the chains of the list that answer them. */
export function NumbersOf({ saw, numbers }: { saw: SawView; numbers: NumbersView }) {
  const { marks, sprocket, clashes, told, chains } = numbers;
  const hasAll = marks.pitch && marks.gauge && marks.driveLinks !== undefined;
  const rows = [
    [texts.chain, marksText(marks)],
    [texts.sprocket, marksText(sprocket)],
  ] as const;
  return (
    <dl className="grid grid-cols-[max-content_1fr] gap-x-3 text-sm">
      {rows.map(([name, text]) => (
        <div key={name} className="contents">
          <dt className="text-ink-soft">{name}</dt>
          <dd className="figures">{text === '' ? texts.notKnownYet : text}</dd>
        </div>
      ))}
      {told !== '' && (
        <div className="contents">
          <dt className="text-ink-soft">{texts.told}</dt>
          <dd>
            <span className="figures">{told}</span> <span className="text-ink-soft">{texts.measuredByNobody}</span>
          </dd>
        </div>
      )}
      {saw.mount && (
        <div className="contents">
          <dt className="text-ink-soft">{texts.bar}</dt>
          <dd className="figures">{texts.mount(saw.mount)}</dd>
        </div>
      )}
      {hasAll && (
        <div className="contents">
          <dt className="text-ink-soft">{texts.toOrder}</dt>
          <dd>
            {clashes
              ? texts.partsDisagree
              : chains.length === 0
                ? texts.noChainOnTheList
                : chains.map(({ sku, quantity, kickbackClass }) => (
                    <span key={sku} className="block">
                      <span className="figures font-semibold">{sku}</span>{' '}
                      {kickbackClass && `${kickbackClassWord[kickbackClass]} `}
                      <span className="no-print text-ink-soft">{texts.onTheShelf(quantity)}</span>
                    </span>
                  ))}
            {!marks.kickbackClass && <span className="block font-semibold">{texts.classNotKnown}</span>}
          </dd>
        </div>
      )}
    </dl>
  );
}
