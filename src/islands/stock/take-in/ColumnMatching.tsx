import { missingColumns, STOCK_COLUMNS } from '../../../core/stock';
import { Notice } from '../../../ui/parts/Notice';
import { list as inWords, stockColumnName } from '../../../wording';
import type { TakeIn } from './use-take-in';
import * as texts from '#language/screens/stock-list';

/** Which heading of the list goes to which column; proposed by name, and put right by hand. */
export function ColumnMatching({ takeIn: { list, columns, choose } }: { takeIn: TakeIn }) {
  if (!list || !columns) return null;
  const missing = missingColumns(columns);
  return (
    <fieldset className="mt-4">
      <legend className="mb-1 font-bold">{texts.whichHeading}</legend>
      <div className="grid grid-cols-7 gap-2 max-lg:grid-cols-4 max-md:grid-cols-2">
        {STOCK_COLUMNS.map((column) => (
          <label key={column} className="grid gap-0.5">
            <span className="text-sm font-semibold text-ink-soft">{stockColumnName[column]}</span>
            <select
              className="entry w-full"
              value={columns[column] ?? ''}
              onChange={({ target }) => choose(column, target.value === '' ? null : Number(target.value))}
            >
              <option value="">{texts.notInTheList}</option>
              {list.headings.map((heading, i) => (
                <option key={`${heading}${i}`} value={i}>
                  {heading || texts.column(i + 1)}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
      {missing.length > 0 && (
        <div className="mt-2">
          <Notice kind="caution">
            {texts.sayWhichHeading(inWords(missing.map((column) => stockColumnName[column].toLowerCase())))}
          </Notice>
        </div>
      )}
    </fieldset>
  );
}
