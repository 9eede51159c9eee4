import { missingColumns, type FieldChange } from '../../../core/stock';
import { Notice } from '../../../ui/parts/Notice';
import { stockColumnName } from '../../../wording';
import type { Comparison, PartChange } from './comparison';
import type { TakeIn } from './use-take-in';
import * as texts from '#language/screens/stock-list';

/** What the rows that read well would do to the shelf, field by field; what would be lost stands out. */
export function Preview({ takeIn: { judged, comparison, columns } }: { takeIn: TakeIn }) {
  if (judged.good === 0 || !columns || missingColumns(columns).length > 0) return null;
  return (
    <section aria-label={texts.whatItWouldChange} className="mt-4">
      <h3 className="mb-1 font-bold">
        {texts.rowsReadWell(judged.good)}
        {comparison && <span className="font-normal text-ink-soft">: {summary(comparison)}</span>}
      </h3>
      {comparison?.trouble && <Notice kind="caution">{comparison.trouble}</Notice>}
      {comparison && comparison.lost > 0 && <Notice kind="caution">{texts.cellIsEmpty(comparison.lost)}</Notice>}
      {comparison && comparison.shown.length > 0 && <Changes comparison={comparison} />}
      <p className="mt-1 text-sm text-ink-soft">{texts.columnsThatTheListDoes}</p>
    </section>
  );
}

function summary({ compared, of, isNew, changed, same }: Comparison): string {
  if (compared < of) return texts.laidBesideTheShelf(compared, of);
  return [
    isNew > 0 && texts.countNew(isNew),
    changed > 0 && texts.countChanged(changed),
    same > 0 && texts.countAsBefore(same),
  ]
    .filter(Boolean)
    .join(', ');
}

function Changes({ comparison: { shown, changed } }: { comparison: Comparison }) {
  return (
    <>
      <ul className="mt-1 border-y border-line" aria-label={texts.changes}>
        {shown.map((change) => (
          <OnePart key={change.line} change={change} />
        ))}
      </ul>
      {changed > shown.length && (
        <p className="text-sm text-ink-soft">{texts.andMoreThatChange(changed - shown.length)}</p>
      )}
    </>
  );
}

function OnePart({ change: { line, sku, name, changes } }: { change: PartChange }) {
  return (
    <li className="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 border-b border-line py-1 text-sm last:border-0">
      <span className="figures">{texts.line(line)}</span>
      <div>
        <p>
          <span className="figures font-semibold">{sku}</span> <span className="text-ink-soft">{name}</span>
        </p>
        <ul>
          {changes.map((change) => (
            <OneField key={change.column} change={change} />
          ))}
        </ul>
      </div>
    </li>
  );
}

function OneField({ change: { column, before, after, isLost } }: { change: FieldChange }) {
  const name = stockColumnName[column];
  if (isLost)
    return (
      <li className="font-semibold text-oxide">
        {texts.lost(name, before)}
        {after !== '' && texts.becomes(after)}
      </li>
    );
  return (
    <li>
      {name}: <span className="text-ink-soft">{before === '' ? 'nothing' : before}</span> → <strong>{after}</strong>
    </li>
  );
}
