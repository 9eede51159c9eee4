import { useMemo } from 'react';
import { unpackView, type AllCustomersView, type CustomerRowView, type Sent } from '../../contract';
import type { Preferences } from '../frame/preferences';
import type { Column } from '../frame/table/column';
import { TablePage } from './TablePage';
import * as texts from '#language/screens/gear';

interface AllCustomersPageProps {
  readonly sent: Sent<AllCustomersView>;
  readonly preferences: Preferences;
  /** What the table is narrowed by, as it stands in the address. */
  readonly query: string;
}

const stands = ({ retired }: CustomerRowView): string => (retired ? texts.retired : texts.inUse);

const COLUMNS: readonly Column<CustomerRowView>[] = [
  {
    id: 'customer',
    head: texts.customerHeading,
    isName: true,
    value: ({ name }) => name,
    cell: ({ id, name }) => (
      <a className="grid min-h-11 content-center font-bold underline" href={`/gear/customers/${id}`}>
        {name}
      </a>
    ),
  },
  {
    id: 'contact',
    head: texts.contactHeading,
    width: 24,
    value: ({ contact }) => contact,
    cell: ({ contact }) => contact,
  },
  { id: 'saws', head: texts.sawsHeading, width: 7, isRight: true, value: ({ saws }) => saws, cell: ({ saws }) => saws },
  { id: 'stands', head: texts.standsHeading, width: 8, isExtra: true, value: stands, cell: stands },
];

const keyOf = ({ id }: CustomerRowView): string => id;

/** Every customer, those entered last first. */
export function AllCustomersPage({ sent, preferences, query }: AllCustomersPageProps) {
  const { shop, filter, total, customers } = useMemo(() => unpackView(sent), [sent]);
  return (
    <TablePage
      {...{ shop, preferences, query, filter, total }}
      name={texts.allCustomers}
      id="customers"
      place="/gear/customers"
      columns={COLUMNS}
      keyOf={keyOf}
      first={customers}
      note={texts.countOfCustomers(total)}
      asks={texts.customerAsked}
      none={texts.noCustomerAnswers}
      showAll={texts.showAllCustomers}
    />
  );
}
