import { asc, desc, sql } from 'drizzle-orm';
import { LIMIT_IDS, type LimitOverrides } from '../../core/limits';
import { limitChange, person, shopChange, shopFact } from '../schema';
import type { Queryable, Transaction } from '../store';

export interface Person {
  readonly id: string;
  readonly name: string;
}

export async function listPeople(db: Queryable): Promise<readonly Person[]> {
  return db.select().from(person).orderBy(asc(person.name));
}

export async function addPerson(tx: Transaction, someone: Person): Promise<void> {
  await tx.insert(person).values(someone);
}

/** Facts about the shop, by key. */
export async function shopFacts(db: Queryable): Promise<Readonly<Record<string, string>>> {
  const rows = await db.select().from(shopFact);
  return Object.fromEntries(rows.map(({ key, value }) => [key, value]));
}

/** Who wrote something, and when. */
export interface Written {
  readonly at: string;
  readonly by: string;
}

export async function setShopFact(tx: Transaction, key: string, value: string, written: Written): Promise<void> {
  await tx.insert(shopFact).values({ key, value }).onConflictDoUpdate({ target: shopFact.key, set: { value } });
  await addShopChange(tx, { what: key, value, ...written });
}

/** One change of what the shop says of itself, of its schools or codes. */
export type ShopChangeRecord = Omit<typeof shopChange.$inferSelect, 'seq'>;

export async function addShopChange(tx: Transaction, { what, value, at, by }: ShopChangeRecord): Promise<void> {
  await tx.insert(shopChange).values({ what, value, at, by });
}

/** The latest changes, newest first. */
export async function shopChanges(db: Queryable, limit: number): Promise<readonly ShopChangeRecord[]> {
  const { what, value, at, by } = shopChange;
  return db.select({ what, value, at, by }).from(shopChange).orderBy(desc(shopChange.seq)).limit(limit);
}

/** One change of a limit, newest first in lists. */
export interface LimitChangeRecord {
  readonly seq: number;
  readonly limitId: string;
  readonly value: unknown;
  readonly at: string;
  readonly by: string;
}

/** The latest changes of limits, newest first. */
export async function limitChanges(db: Queryable, limit: number): Promise<readonly LimitChangeRecord[]> {
  return db.select().from(limitChange).orderBy(desc(limitChange.seq)).limit(limit);
}

/** The changes that stand: the newest of each limit, where it is not a return to the default. Each is one look into an index, however often it was changed. */
export async function standingOverrides(db: Queryable): Promise<LimitOverrides> {
  const ids = JSON.stringify(LIMIT_IDS);
  const [row] = await db.all<{ standing: string }>(sql`
    SELECT json_group_object(id, json(value)) AS standing FROM (
      SELECT known.value AS id, (
        SELECT ${limitChange.value} FROM ${limitChange} WHERE ${limitChange.limitId} = known.value
        ORDER BY ${limitChange.seq} DESC LIMIT 1
      ) AS value FROM json_each(${ids}) AS known
    ) WHERE value IS NOT NULL`);
  const standing = Object.entries(JSON.parse(row?.standing ?? '{}') as LimitOverrides);
  return Object.fromEntries(standing.filter(([, value]) => value !== null)) as LimitOverrides;
}

export async function addLimitChange(tx: Transaction, change: Omit<LimitChangeRecord, 'seq'>): Promise<void> {
  await tx.insert(limitChange).values(change);
}
