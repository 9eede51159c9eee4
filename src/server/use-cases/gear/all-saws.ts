import { countSaws, listSaws, type ListedSaw } from '../../../data/repositories';
import type { AllSawsView, RowsView, SawRowView } from '../../../contract';
import type { Context } from '../../context';
import { rowsFrom } from '../../paging';
import { shopView } from '../shop';
import { FIRST_ROWS, gearFilter } from './filter';
import { sawView } from './lines';

const rowOf = ({ saw, ...rest }: ListedSaw): SawRowView => ({ ...sawView(saw), ...rest });

/** Every saw of everybody, as far as it is asked for; the first of them. */
export async function allSawsView(context: Context, params: URLSearchParams): Promise<AllSawsView> {
  const { db } = context.store;
  const filter = gearFilter(params);
  const [shop, total, saws] = await Promise.all([
    shopView(context),
    countSaws(db, filter),
    listSaws(db, filter, { limit: FIRST_ROWS, offset: 0 }),
  ]);
  return { shop, filter, total, saws: saws.map(rowOf) };
}

/** Some of these saws, from where it was asked on. */
export const allSawsRows = ({ store }: Context, params: URLSearchParams): Promise<RowsView<SawRowView>> =>
  rowsFrom(params.get('from'), async (page) => (await listSaws(store.db, gearFilter(params), page)).map(rowOf));
