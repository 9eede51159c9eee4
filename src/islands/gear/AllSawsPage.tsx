import { useMemo } from 'react';
import { unpackView, type AllSawsView, type SawRowView, type Sent } from '../../contract';
import type { Preferences } from '../frame/preferences';
import type { Column } from '../frame/table/column';
import { TablePage } from './TablePage';
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

/** Every saw of everybody, those entered last first. */
export function AllSawsPage({ sent, preferences, query }: AllSawsPageProps) {
  const { shop, filter, total, saws } = useMemo(() => unpackView(sent), [sent]);
  return (
    <TablePage
      {...{ shop, preferences, query, filter, total }}
      name={texts.allSaws}
      id="saws"
      place="/gear/saws"
      columns={COLUMNS}
      keyOf={keyOf}
      first={saws}
      note={texts.countOfSaws(total)}
      asks={texts.sawTagOrOwner}
      none={texts.noSawAnswersThat}
      showAll={texts.showAllSaws}
    />
  );
}
