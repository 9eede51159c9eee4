import type { ShopView } from '../../contract';
import { Empty } from '../../ui/parts/Notice';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';
import { ServerData } from '../frame/server-data';
import type { LongTableProps } from '../frame/table/column';
import { LongTable } from '../frame/table/LongTable';
import * as texts from '#language/screens/gear';

interface TablePageProps<Row> extends Omit<LongTableProps<Row>, 'rowHeight' | 'address'> {
  readonly shop: ShopView;
  readonly preferences: Preferences;
  /** Where the page is, and where its rows are fetched. */
  readonly place: string;
  /** What the table is narrowed by, as it stands in the address, and as it is understood. */
  readonly query: string;
  readonly filter: { readonly text: string; readonly retired: boolean };
  /** What may be looked for, and what is said where nothing answers. */
  readonly asks: string;
  readonly none: string;
  readonly showAll: string;
}

/** All of something that gear knows, in a table: narrowed, ordered and shown as somebody chooses. */
export function TablePage<Row>(props: TablePageProps<Row>) {
  const { shop, preferences, place, query, filter, asks, none, showAll, ...table } = props;
  return (
    <ServerData>
      <Frame shop={shop} preferences={preferences} place="gear">
        <h1 className="mb-3 text-2xl font-extrabold">{table.name}</h1>
        <form method="get" action={place} className="no-print mb-2 flex flex-wrap items-end gap-3">
          <label className="grid gap-1">
            <span className="text-sm font-semibold text-ink-soft">{asks}</span>
            <input className="entry w-72 max-w-full" name="q" defaultValue={filter.text} />
          </label>
          <label className="flex min-h-11 items-center gap-2 font-medium">
            <input type="checkbox" name="retired" value="yes" defaultChecked={filter.retired} className="size-5" />
            {texts.retiredToo}
          </label>
          <button type="submit" className="act">
            {texts.show}
          </button>
        </form>
        {table.total === 0 ? (
          <Empty title={none}>
            <a className="underline" href={place}>
              {showAll}
            </a>
          </Empty>
        ) : (
          <LongTable {...table} rowHeight={2.875} address={`/api${place}/rows?${query}`} />
        )}
      </Frame>
    </ServerData>
  );
}
