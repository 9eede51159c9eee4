import { desc } from 'drizzle-orm';
import { chainLink } from '../schema';
import type { Queryable, Transaction } from '../store';
import { nameOf, storedRow, type ChainedTable } from './chained';
import { contentOf, hashOf, NO_HEAD, type Head, type Link } from './link';

/** Where each write under way has come to: nobody else writes meanwhile. */
const heads = new WeakMap<Transaction, Head>();

/** The last link there is; {@link NO_HEAD} before the first. */
export async function headOf(db: Queryable): Promise<Head> {
  const [last] = await db
    .select({ seq: chainLink.seq, hash: chainLink.hash })
    .from(chainLink)
    .orderBy(desc(chainLink.seq))
    .limit(1);
  return last ?? NO_HEAD;
}

/** The link of a record that follows another. */
export function linkAfter(before: Head, { record, key }: Pick<Link, 'record' | 'key'>, content: string): Link {
  const place = { seq: before.seq + 1, record, key };
  return { ...place, hash: hashOf(before.hash, place, content) };
}

/** Rows that one statement takes: the engine bounds how many values it is given. */
const AT_ONCE = 500;

/** Hangs records, each as the store has it, on the end of the chain. */
export async function linkRows(
  tx: Transaction,
  { record, key }: { readonly record: string; readonly key: string },
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<void> {
  let head = heads.get(tx) ?? (await headOf(tx));
  const links = rows.map((row) => {
    const link = linkAfter(head, { record, key: String(row[key]) }, contentOf(row));
    head = link;
    return link;
  });
  for (let i = 0; i < links.length; i += AT_ONCE) await tx.insert(chainLink).values(links.slice(i, i + AT_ONCE));
  heads.set(tx, head);
}

/**
 * Stores records that never change, each with its link in the chain. This is the one way in which such records are
 * written: one without a link is told as foreign.
 */
export async function append<T extends ChainedTable>(
  tx: Transaction,
  table: T,
  rows: readonly T['$inferInsert'][],
): Promise<void> {
  if (rows.length === 0) return;
  const stored = (await tx
    .insert(table)
    .values([...rows] as never)
    .returning()) as readonly Readonly<Record<string, unknown>>[];
  await linkRows(
    tx,
    nameOf(table),
    stored.map((row) => storedRow(table, row)),
  );
}
