import { missingColumns, STOCK_COLUMNS } from '../../../core/stock';
import { Headings } from '../../frame/Headings';
import { Notice } from '../../../ui/parts/Notice';
import { list as inWords, stockColumnName } from '../../../wording';
import type { TakeIn } from './use-take-in';
import * as texts from '#language/screens/stock-list';

/** Which heading of the list goes to which column; proposed by name, and put right by hand. */
export function ColumnMatching({ takeIn: { list, columns, choose } }: { takeIn: TakeIn }) {
  if (!list || !columns) return null;
  const missing = missingColumns(columns);
  return (
    <div className="mt-4">
      <Headings
        legend={texts.whichHeading}
        columns={STOCK_COLUMNS}
        names={stockColumnName}
        headings={list.headings}
        chosen={columns}
        onChoose={choose}
        className="grid-cols-7 max-lg:grid-cols-4"
      />
      {missing.length > 0 && (
        <div className="mt-2">
          <Notice kind="caution">
            {texts.sayWhichHeading(inWords(missing.map((column) => stockColumnName[column].toLowerCase())))}
          </Notice>
        </div>
      )}
    </div>
  );
}
