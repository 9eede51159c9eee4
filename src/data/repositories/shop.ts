import { desc } from 'drizzle-orm';
import { append } from '../chain/append';
import { limitChange, person, shopChange, shopFact } from '../schema';
import type { Queryable, Transaction } from '../store';

export interface Person {
  readonly id: string;
  readonly name: string;
}

export async function addPerson(
  tx: Transaction,
  someone: Person & Partial<Pick<typeof person.$inferInsert, 'role' | 'customerId'>>,
): Promise<void> {
  await tx.insert(person).values(someone);
}

/** Who wrote something, and when. */
export interface Written {
  readonly at: string;
  readonly by: string;
}

export async function setShopFact(tx: Transaction, key: string, value: string, written: Written): Promise<void> {
  await tx
    .insert(shopFact)
    .values({ key, value })
    .onConflictDoUpdate({ target: [shopFact.shopId, shopFact.key], set: { value } });
  await addShopChange(tx, { what: key, value, ...written });
}

/** One change of what the shop says of itself, of its schools or codes. */
export type ShopChangeRecord = Omit<typeof shopChange.$inferSelect, 'seq' | 'shopId'>;

export async function addShopChange(tx: Transaction, { what, value, at, by }: ShopChangeRecord): Promise<void> {
  await append(tx, shopChange, [{ what, value, at, by }]);
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
  const { seq, limitId, value, at, by } = limitChange;
  return db.select({ seq, limitId, value, at, by }).from(limitChange).orderBy(desc(limitChange.seq)).limit(limit);
}

export async function addLimitChange(tx: Transaction, change: Omit<LimitChangeRecord, 'seq'>): Promise<void> {
  await append(tx, limitChange, [change]);
}
