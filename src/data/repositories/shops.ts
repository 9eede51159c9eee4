import { and, asc, desc, eq, getTableColumns, gt, inArray, ne, sql } from 'drizzle-orm';
import { isSameName } from '../../core/same-name';
import type { StockPart } from '../../core/stock';
import { OF_ALL_SHOPS, type ShopId } from '../shops/names';
import { job, person, shop, shopFact, stockPart } from '../schema';
import type { Queryable, Transaction } from '../store';

/** A shop that shares the store. */
export interface ShopRecord {
  readonly id: ShopId;
  /** What it calls itself; null while it does not. */
  readonly name: string | null;
  /** Whether the other shops find its customers and their saws. */
  readonly sharesGear: boolean;
}

const NAME = sql<
  string | null
>`(SELECT ${shopFact.value} FROM ${shopFact} WHERE ${shopFact.shopId} = ${shop.id} AND ${shopFact.key} = 'name' AND ${OF_ALL_SHOPS})`;

const selectShops = (db: Queryable) =>
  db
    .select({ id: shop.id, name: NAME, sharesGear: shop.sharesGear })
    .from(shop)
    .orderBy(asc(sql`${shop}.rowid`))
    .$dynamic();

/** All shops that share the store, in the order in which they came. */
export const allShops = async (db: Queryable): Promise<readonly ShopRecord[]> => selectShops(db);

/** Whether there is such a shop. */
export async function isShop(db: Queryable, id: ShopId): Promise<boolean> {
  return (await db.$count(shop, eq(shop.id, id))) > 0;
}

export async function addShop(
  tx: Transaction,
  begun: { readonly id: ShopId; readonly sharesGear: boolean; readonly at: string; readonly by: string },
): Promise<void> {
  await tx.insert(shop).values(begun);
}

export async function setSharesGear(tx: Transaction, id: ShopId, sharesGear: boolean): Promise<void> {
  await tx.update(shop).set({ sharesGear }).where(eq(shop.id, id));
}

/** Somebody of any shop: no two of them have one name. */
export interface PersonAnywhere {
  readonly id: string;
  readonly name: string;
  readonly shopId: ShopId;
  readonly leftAt: string | null;
}

/** Whoever is called so, whatever the capitals and whichever the shop, those who have left included. */
export async function personAnywhere(db: Queryable, name: string): Promise<PersonAnywhere | null> {
  const all = await db
    .select({ id: person.id, name: person.name, shopId: person.shopId, leftAt: person.leftAt })
    .from(person)
    .where(OF_ALL_SHOPS);
  return all.find((each) => isSameName(each.name, name)) ?? null;
}

/** Shops in which some saws were, the first shop first. */
export async function shopsOfSaws(db: Queryable, sawIds: readonly string[]): Promise<readonly ShopRecord[]> {
  const been = db
    .selectDistinct({ id: job.shopId })
    .from(job)
    .where(and(inArray(job.sawId, [...sawIds]), OF_ALL_SHOPS));
  return selectShops(db).where(inArray(shop.id, been));
}

/** The shop that a job is of; null where there is no such job in any. */
export async function shopOfJob(db: Queryable, jobId: string): Promise<ShopRecord | null> {
  const its = db
    .select({ id: job.shopId })
    .from(job)
    .where(and(eq(job.id, jobId), OF_ALL_SHOPS));
  const [found] = await selectShops(db).where(inArray(shop.id, its));
  return found ?? null;
}

/** The saw that a job of any shop is about; null where it is about none, or there is no such job. */
export async function sawOfJob(db: Queryable, jobId: string): Promise<string | null> {
  const [found] = await db
    .select({ sawId: job.sawId })
    .from(job)
    .where(and(eq(job.id, jobId), OF_ALL_SHOPS))
    .limit(1);
  return found?.sawId ?? null;
}

/** Pieces of a part on the shelf of a shop. */
export interface Shelved {
  readonly shop: string | null;
  readonly sku: string;
  readonly pieces: number;
}

/** What a part is beside what a list calls it, and how many it has: in this two parts of two lists are the same. */
const {
  sku: _sku,
  name: _name,
  quantity,
  minimum: _least,
  priceCents: _price,
  version: _version,
  shopId,
  ...SAME
} = getTableColumns(stockPart);

/** Other shops than one that have a part on their shelf: as one that is the same in everything, whatever its number. */
export async function shelvedElsewhere(db: Queryable, part: StockPart, but: ShopId): Promise<readonly Shelved[]> {
  const isSame = and(
    ...Object.entries(SAME).map(([name, column]) => sql`${column} IS ${part[name as keyof typeof SAME]}`),
  );
  return db
    .select({ shop: NAME, sku: stockPart.sku, pieces: quantity })
    .from(stockPart)
    .innerJoin(shop, eq(shop.id, shopId))
    .where(and(eq(stockPart.kind, part.kind), isSame, gt(quantity, 0), ne(shopId, but), OF_ALL_SHOPS))
    .orderBy(desc(quantity));
}
