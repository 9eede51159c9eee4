import { countCustomers, listCustomers, type ListedCustomer } from '../../../data/repositories';
import type { AllCustomersView, CustomerRowView, RowsView } from '../../../contract';
import type { Context } from '../../context';
import { rowsFrom } from '../../paging';
import { shopView } from '../shop';
import { FIRST_ROWS, gearFilter } from './filter';

const rowOf = ({ retiredAt, ...customer }: ListedCustomer): CustomerRowView => ({
  ...customer,
  retired: retiredAt !== null,
});

/** Every customer, as far as they are asked for; the first of them. */
export async function allCustomersView(context: Context, params: URLSearchParams): Promise<AllCustomersView> {
  const { db } = context.store;
  const filter = gearFilter(params);
  const [shop, total, customers] = await Promise.all([
    shopView(context),
    countCustomers(db, filter),
    listCustomers(db, filter, { limit: FIRST_ROWS, offset: 0 }),
  ]);
  return { shop, filter, total, customers: customers.map(rowOf) };
}

/** Some of these customers, from where it was asked on. */
export const allCustomersRows = ({ store }: Context, params: URLSearchParams): Promise<RowsView<CustomerRowView>> =>
  rowsFrom(params.get('from'), async (page) => (await listCustomers(store.db, gearFilter(params), page)).map(rowOf));
