import { getTableName, sql } from 'drizzle-orm';
import { chainLink } from '../schema';
import type { Store, Transaction } from '../store';
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

/** The table that the engine keeps the largest number in that each table ever gave. */
const SEQUENCES = sql.identifier('sqlite_sequence');
const LINKS = getTableName(chainLink);

/** What beginning a chain came to: it had begun already, it began, or it began anew since its links were gone. */
export type Beginning = 'begun-before' | 'begun' | 'begun-anew';

/** Begins the chain where a store has none, from what stands in it, in one write. */
export async function beginChain(store: Store, now: Date): Promise<Beginning> {
  if ((await headOf(store.whole.db)).seq > 0) return 'begun-before';
  return store.whole.write(async (tx) => {
    if ((await headOf(tx)).seq > 0) return 'begun-before';
    const given = await tx.all(sql`SELECT 1 FROM ${SEQUENCES} WHERE name = ${LINKS} AND seq > 0`);
    // A chain that begins anew counts anew.
    await tx.run(sql`DELETE FROM ${SEQUENCES} WHERE name = ${LINKS}`);
    await tx.insert(chainLink).values(linkAfter(NO_HEAD, { record: BEGAN, key: now.toISOString() }, ''));
    await linkAllStanding(tx);
    return given.length > 0 ? 'begun-anew' : 'begun';
  });
}
