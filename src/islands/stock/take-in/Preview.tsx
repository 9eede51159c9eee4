import { missingColumns, type FieldChange } from '../../../core/stock';
import { Notice } from '../../../ui/parts/Notice';
import { stockColumnName } from '../../../wording';
import type { Comparison, PartChange } from './comparison';
import type { TakeIn } from './use-take-in';

const parts = (count: number): string => (count === 1 ? '1 part' : `${count} parts`);

/** What the rows that read well would do to the shelf, field by field; what would be lost stands out. */
export function Preview({ takeIn: { judged, comparison, columns } }: { takeIn: TakeIn }) {
  if (judged.good === 0 || !columns || missingColumns(columns).length > 0) return null;
  return (
    <section aria-label="What it would change" className="mt-4">
      <h3 className="mb-1 font-bold">
        {judged.good === 1 ? '1 row reads well' : `${judged.good} rows read well`}
        {comparison && <span className="font-normal text-ink-soft">: {summary(comparison)}</span>}
      </h3>
      {comparison?.trouble && <Notice kind="caution">{comparison.trouble}</Notice>}
      {comparison && comparison.lost > 0 && (
        <Notice kind="caution">
          {comparison.lost === 1 ? '1 entry would be lost' : `${comparison.lost} entries would be lost`}: the cell is
          there and empty. To keep what stands on the shelf, say “not in the list” for that column.
        </Notice>
      )}
      {comparison && comparison.shown.length > 0 && <Changes comparison={comparison} />}
      <p className="mt-1 text-sm text-ink-soft">Columns that the list does not have change nothing.</p>
    </section>
  );
}

function summary({ compared, of, isNew, changed, same }: Comparison): string {
  if (compared < of) return `laid beside the shelf, ${compared} of ${of}`;
  return [
    isNew > 0 && `${parts(isNew)} new`,
    changed > 0 && `${parts(changed)} changed`,
    same > 0 && `${parts(same)} as before`,
  ]
    .filter(Boolean)
    .join(', ');
}

function Changes({ comparison: { shown, changed } }: { comparison: Comparison }) {
  return (
    <>
      <ul className="mt-1 border-y border-line" aria-label="Changes">
        {shown.map((change) => (
          <OnePart key={change.line} change={change} />
        ))}
      </ul>
      {changed > shown.length && (
        <p className="text-sm text-ink-soft">and {changed - shown.length} more that change.</p>
      )}
    </>
  );
}

function OnePart({ change: { line, sku, name, changes } }: { change: PartChange }) {
  return (
    <li className="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 border-b border-line py-1 text-sm last:border-0">
      <span className="figures">line {line}</span>
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
        {name}: lost, {before}
        {after !== '' && ` becomes ${after}`}
      </li>
    );
  return (
    <li>
      {name}: <span className="text-ink-soft">{before === '' ? 'nothing' : before}</span> → <strong>{after}</strong>
    </li>
  );
}
