import { useMemo } from 'react';
import { unpackView, type AllSawsView, type SawRowView, type Sent } from '../../contract';
import { Empty } from '../../ui/parts/Notice';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';
import { ServerData } from '../frame/server-data';
import type { Column } from '../frame/table/column';
import { LongTable } from '../frame/table/LongTable';
import * as texts from '#language/screens/gear';

interface AllSawsPageProps {
  readonly sent: Sent<AllSawsView>;
  readonly preferences: Preferences;
  /** What the table is narrowed by, as it stands in the address. */
  readonly query: string;
}

const COLUMNS: readonly Column<SawRowView>[] = [
  {
    id: 'saw',
    head: texts.saw,
    isName: true,
    value: ({ label }) => label,
    cell: ({ id, label }) => (
      <a className="grid min-h-11 content-center font-bold underline" href={`/gear/saws/${id}`}>
        {label}
      </a>
    ),
  },
  {
    id: 'tag',
    head: texts.tagHeading,
    width: 8,
    className: 'figures',
    value: ({ tag }) => tag,
    cell: ({ tag }) => tag,
  },
  {
    id: 'whose',
    head: texts.whoseHeading,
    width: 20,
    value: ({ customer }) => customer.name,
    cell: ({ customer }) => (
      <a className="grid min-h-11 content-center underline" href={`/gear/customers/${customer.id}`}>
        {customer.name}
      </a>
    ),
  },
  {
    id: 'mount',
    head: texts.mountHeading,
    width: 7,
    className: 'figures',
    value: ({ mount }) => mount,
    cell: ({ mount }) => mount,
  },
  {
    id: 'rpm',
    head: texts.mostRpmHeading,
    width: 8,
    isRight: true,
    isExtra: true,
    value: ({ maxRpm }) => maxRpm,
    cell: ({ maxRpm }) => maxRpm,
  },
  { id: 'jobs', head: texts.jobsHeading, width: 6, isRight: true, value: ({ jobs }) => jobs, cell: ({ jobs }) => jobs },
  {
    id: 'last',
    head: texts.lastJob,
    width: 9,
    className: 'figures',
    value: ({ last }) => last && last.tag,
    cell: ({ last }) =>
      last && (
        <a className="grid min-h-11 content-center underline" href={`/jobs/${last.jobId}`}>
          {last.tag}
        </a>
      ),
  },
  {
    id: 'stands',
    head: texts.standsHeading,
    width: 7,
    isExtra: true,
    value: ({ retired }) => (retired ? texts.retired : texts.inUse),
    cell: ({ retired }) => (retired ? texts.retired : texts.inUse),
  },
];

const keyOf = ({ id }: SawRowView): string => id;

/** Every saw of everybody, those entered last first; narrowed, ordered and shown as somebody chooses. */
export function AllSawsPage({ sent, preferences, query }: AllSawsPageProps) {
  const { shop, filter, total, saws } = useMemo(() => unpackView(sent), [sent]);
  return (
    <ServerData>
      <Frame shop={shop} preferences={preferences} place="gear">
        <h1 className="mb-3 text-2xl font-extrabold">{texts.allSaws}</h1>
        <form method="get" action="/gear/saws" className="mb-2 flex flex-wrap items-end gap-3">
          <label className="grid gap-1">
            <span className="text-sm font-semibold text-ink-soft">{texts.sawTagOrOwner}</span>
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
        {saws.length === 0 ? (
          <Empty title={texts.noSawAnswersThat}>
            <a className="underline" href="/gear/saws">
              {texts.showAllSaws}
            </a>
          </Empty>
        ) : (
          <LongTable
            name={texts.allSaws}
            id="saws"
            columns={COLUMNS}
            keyOf={keyOf}
            rowHeight={2.875}
            first={saws}
            total={total}
            note={texts.countOfSaws(total)}
            address={`/api/gear/saws/rows?${query}`}
          />
        )}
      </Frame>
    </ServerData>
  );
}
