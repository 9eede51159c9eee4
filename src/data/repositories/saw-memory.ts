import { and, asc, desc, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import { isSameName } from '../../core/same-name';
import type { Entry } from '../../core/sheet';
import { customer, saw, sawMemory } from '../schema';
import type { Queryable, Transaction } from '../store';
import { SAW_COLUMNS, type SawRecord } from './jobs';
import { ftsQuery, IS_SEEN } from './stock';

/** A saw with whose it is. */
export interface KnownSaw extends SawRecord {
  readonly customer: string;
}

/** What was learned of a saw, and when. */
export interface SawMemoryRecord {
  readonly sawId: string;
  readonly entries: readonly Entry[];
  readonly at: string;
  readonly by: string;
}

/** Neither retired nor one with another record. */
const isOffered = and(isNull(saw.retiredAt), isNull(saw.mergedInto));

const columns = { ...SAW_COLUMNS, customer: customer.name };

/** Saws whose name, tag or owner begins with the words typed. */
export async function findSaws(db: Queryable, text: string, limit: number): Promise<readonly KnownSaw[]> {
  const query = ftsQuery(text);
  if (!query) return [];
  const refs = await db.all<{ kind: string; ref: string }>(
    sql`SELECT kind, ref FROM search WHERE search MATCH ${query} AND kind IN ('saw', 'customer') AND ${IS_SEEN} LIMIT ${4 * limit}`,
  );
  const of = (kind: string) => refs.filter((each) => each.kind === kind).map(({ ref }) => ref);
  const [saws, customers] = [of('saw'), of('customer')];
  if (saws.length + customers.length === 0) return [];
  return db
    .select(columns)
    .from(saw)
    .innerJoin(customer, eq(saw.customerId, customer.id))
    .where(and(or(inArray(saw.id, saws), inArray(saw.customerId, customers)), isOffered))
    .orderBy(asc(saw.label), asc(customer.name))
    .limit(limit);
}

export async function knownSaw(db: Queryable, id: string): Promise<KnownSaw | null> {
  const [row] = await db
    .select(columns)
    .from(saw)
    .innerJoin(customer, eq(saw.customerId, customer.id))
    .where(eq(saw.id, id))
    .limit(1);
  return row ?? null;
}

/** A customer's saw of this name, whatever its capitals. */
export async function findSawByLabel(db: Queryable, customerId: string, label: string): Promise<SawRecord | null> {
  const rows = await db
    .select(SAW_COLUMNS)
    .from(saw)
    .where(and(eq(saw.customerId, customerId), isOffered));
  return rows.find((row) => isSameName(row.label, label)) ?? null;
}

/** The newest memory of a saw, and of records that turned out to be one with it. */
export async function sawMemoryOf(db: Queryable, sawId: string): Promise<SawMemoryRecord | null> {
  const mergedInto = db.select({ id: saw.id }).from(saw).where(eq(saw.mergedInto, sawId));
  const [row] = await db
    .select()
    .from(sawMemory)
    .where(or(eq(sawMemory.sawId, sawId), inArray(sawMemory.sawId, mergedInto)))
    .orderBy(desc(sawMemory.seq))
    .limit(1);
  return row ? { sawId: row.sawId, entries: row.entries as Entry[], at: row.at, by: row.by } : null;
}

export async function rememberSaw(tx: Transaction, record: SawMemoryRecord): Promise<void> {
  await tx.insert(sawMemory).values(record);
}
