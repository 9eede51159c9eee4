import type { StockPart } from '../../core/stock';
import type { PartElsewhere } from '../../contract';
import { allShops, shelvedElsewhere, shopOfJob, shopsOfSaws, type ShopRecord } from '../../data/repositories';
import { FIRST_SHOP } from '../../data/shops/names';
import { forShop, type Context } from '../context';
import { notFound, Refusal } from '../refusal';
import * as texts from '#language/server';

/** What a shop is called by the others. */
export const calledElsewhere = ({ name }: Pick<ShopRecord, 'name'>): string => name ?? texts.unnamedShop;

/** A shop that some saws were in. */
export interface BeenIn {
  /** As that shop sees its jobs; of a sister shop nothing is written there. */
  readonly context: Context;
  /** How a job of it is named here: a sister shop counts its jobs for itself. */
  readonly tagOf: (tag: string) => string;
}

/** A shop beside the one that asks, as it sees what is its own: nothing is written there. */
interface Sister {
  readonly context: Context;
  readonly name: string;
}

/** Of some shops those that are not the one that asks. */
const sistersAmong = (context: Context, shops: readonly ShopRecord[]): readonly Sister[] =>
  shops
    .filter(({ id }) => id !== context.store.shop)
    .map((shop) => ({ context: { ...forShop(context, shop.id), looksOnly: true }, name: calledElsewhere(shop) }));

/** The sister shops that some saws were in. */
const sistersOf = async (context: Context, sawIds: readonly string[]): Promise<readonly BeenIn[]> =>
  sistersAmong(context, await shopsOfSaws(context.store.whole.db, sawIds)).map(({ context: there, name }) => ({
    context: there,
    tagOf: (tag) => texts.tagElsewhere(tag, name),
  }));

/**
 * Looks at what each shop knows of some saws, the one that asks first: a saw's past follows it from shop to shop. Here
 * it is looked at before anybody knows where else it was.
 */
export async function inEachShop<T>(
  context: Context,
  sawIds: readonly string[],
  look: (shop: BeenIn) => Promise<T>,
): Promise<readonly [T, ...T[]]> {
  const [own, others] = await Promise.all([
    look({ context, tagOf: (tag) => tag }),
    sistersOf(context, sawIds).then((sisters) => Promise.all(sisters.map(look))),
  ]);
  return [own, ...others];
}

/** Why a job is not here: it is nowhere, or of a sister shop that lets others know of what it does. */
export async function jobIsNotHere({ store }: Context, id: string): Promise<Refusal> {
  const its = await shopOfJob(store.whole.db, id);
  return its?.sharesGear ? new Refusal(404, 'elsewhere', texts.jobIsElsewhere(calledElsewhere(its))) : notFound('job');
}

/** Sister shops that have a part on their shelf. */
export async function partElsewhere({ store }: Context, part: StockPart): Promise<readonly PartElsewhere[]> {
  const found = await shelvedElsewhere(store.whole.db, part, store.shop);
  return found.map(({ shop, sku, pieces }) => ({ shop: calledElsewhere({ name: shop }), sku, pieces }));
}

/** Every sister shop, as it sees its own shelf. */
export const sisters = async (context: Context): Promise<readonly Sister[]> =>
  sistersAmong(context, await allShops(context.store.whole.db));

/** What the shop that keeps the store is called; null where it is the one that asks. */
export async function keeperOf({ store }: Context): Promise<string | null> {
  if (store.shop === FIRST_SHOP) return null;
  const all = await allShops(store.whole.db);
  return calledElsewhere(all.find(({ id }) => id === FIRST_SHOP)!);
}
