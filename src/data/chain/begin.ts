import { getTableName, sql } from 'drizzle-orm';
import { chainLink } from '../schema';
import { hasTable, type Store, type Transaction } from '../store';
import { headOf, linkAfter, linkRows } from './append';
import { CHAINED_NAMES, type ChainedName } from './chained';
import { NO_HEAD } from './link';

/** What the first link holds in place of a record. */
export const BEGAN = 'began';

/** Rows read in one go. */
const SLICE = 2000;

/** Links records of a table that have none, in the order in which they were written. */
async function linkStanding(tx: Transaction, name: ChainedName): Promise<void> {
  const [table, key] = [sql.identifier(name.record), sql.identifier(name.key)];
  let last = 0;
  for (;;) {
    const rows = await tx.all<Record<string, unknown>>(sql`
      SELECT rowid AS "$row", * FROM ${table} AS standing
      WHERE rowid > ${last} AND NOT EXISTS (SELECT 1 FROM ${chainLink} WHERE record = ${name.record} AND chain_link.key = CAST(standing.${key} AS TEXT))
      ORDER BY rowid LIMIT ${SLICE}`);
    await linkRows(
      tx,
      name,
      rows.map(({ $row: _row, ...row }) => row),
    );
    if (rows.length < SLICE) return;
    last = Number(rows.at(-1)!.$row);
  }
}

/** Links every record that has no link: those of an older store, or of a bench that fills its store by itself. */
export async function linkAllStanding(tx: Transaction): Promise<void> {
  for (const name of CHAINED_NAMES) await linkStanding(tx, name);
}

/** Whether a store has a place for the chain, whatever is left in it. */
export const hasChain = ({ db }: Store): Promise<boolean> => hasTable(db, getTableName(chainLink));

/** Begins the chain where a store has none, from what stands in it, in one write. @returns whether it did */
export async function beginChain(store: Store, now: Date): Promise<boolean> {
  if ((await headOf(store.db)).seq > 0) return false;
  return store.write(async (tx) => {
    if ((await headOf(tx)).seq > 0) return false;
    await tx.insert(chainLink).values(linkAfter(NO_HEAD, { record: BEGAN, key: now.toISOString() }, ''));
    await linkAllStanding(tx);
    return true;
  });
}
