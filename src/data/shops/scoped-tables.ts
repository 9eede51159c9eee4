/**
 * Whose the rows of each table are. Every table of the store stands here: one that does not is told by a test.
 *
 * - `row`: of the shop that it names; empty for the first
 * - `record`: of the shop that it names; null for the first
 * - `gear`: of the shop that it names, and seen by the others where that one shares its gear, or where it was with them
 * - `said`: what is said of gear is seen with it; what is said of lists and models is its shop's own
 * - `found`: rows of the search, as what they are of
 * - a column and another table: of whoever the row there is of
 * - `store`: of no shop
 */
export type Whose =
  | 'row'
  | 'record'
  | 'gear'
  | 'said'
  | 'found'
  | 'store'
  | { readonly by: string; readonly of: string; readonly key: string };

const of = (table: string, by = `${table}_id`): Whose => ({ by, of: table, key: 'id' });

export const WHOSE: Readonly<Record<string, Whose>> = {
  shop: 'store',
  changed: 'store',
  chain_link: 'store',
  search: 'store',
  person: 'row',
  credential: of('person'),
  session: of('person'),
  access_token: 'row',
  people_event: 'record',
  shop_fact: 'row',
  shop_change: 'record',
  limit_change: 'record',
  learned_code: 'row',
  hand_study: 'record',
  practice_round: 'row',
  customer: 'gear',
  saw: 'gear',
  saw_memory: of('saw'),
  saw_model: 'row',
  gear_change: 'said',
  search_row: 'found',
  job: 'row',
  reading: of('job'),
  sign_off: of('job'),
  hand_over: of('job'),
  test_cut: of('job'),
  photo: of('job'),
  part_order: of('job'),
  part_order_event: of('part_order', 'order_id'),
  stock_part: 'row',
  stock_movement: 'record',
  stock_import: 'row',
  stock_import_row: of('stock_import', 'import_id'),
  stock_import_batch: of('stock_import', 'import_id'),
};

/** What is said of a shop's own lists and models, not of a saw that others may see. */
const SAID_OF_ITS_OWN = ['saws-listed', 'models-listed', 'model-entered', 'model-mended'];

/**
 * The condition under which a row of a table is seen from a shop, over the columns of that table.
 * @param literal the shop, as a statement writes it
 */
export function seenFrom(table: string, literal: string): string | null {
  const whose = WHOSE[table];
  if (whose === undefined || whose === 'store') return null;
  const own = `shop_id = ${literal}`;
  const sharing = `shop_id IN (SELECT id FROM main.shop WHERE shares_gear)`;
  switch (whose) {
    case 'row':
      return own;
    case 'record':
      return `shop_id IS nullif(${literal}, '')`;
    case 'gear':
      // Whoever was here stays known here, whatever their own shop chooses later.
      return `(${own} OR ${sharing} OR EXISTS (SELECT 1 FROM main.job WHERE main.job.${table}_id = main.${table}.id AND main.job.shop_id = ${literal}))`;
    case 'found':
      return `(${own} OR (kind IN ('customer', 'saw', 'piece') AND ${sharing}))`;
    case 'said':
      return `(shop_id IS nullif(${literal}, '') OR what NOT IN (${SAID_OF_ITS_OWN.map((each) => `'${each}'`).join(', ')}))`;
    default: {
      const { by, of: parent, key } = whose;
      return `EXISTS (SELECT 1 FROM main.${parent} WHERE main.${parent}.${key} = ${by} AND ${seenFrom(parent, literal)})`;
    }
  }
}

/** Tables whose rows name their shop: nothing is written to them that does not say for which. */
export const namesItsShop = (table: string): boolean => {
  const whose = WHOSE[table];
  return typeof whose === 'string' && whose !== 'store';
};
