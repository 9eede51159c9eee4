import type { ShopId } from '../data/shops/names';
import { openStore, type Store } from '../data/store';
import { shopOfActor, whoAsks } from './people/actor';

/** What a use case works with. Clock and ids come from here, so that they can be fixed in a test. */
export interface Context {
  readonly store: Store;
  readonly now: () => Date;
  readonly newId: () => string;
  /** Of work that takes long: whether nobody waits for it any more. */
  readonly isLeft?: () => boolean;
  /** Of work beside the server's own thread: it only looks, and writes nothing. */
  readonly looksOnly?: boolean;
}

/** A context of its own, on a store that whoever asked for it closes. */
export const freshContext = (url?: string): Context => ({
  store: openStore(url),
  now: () => new Date(),
  newId: () => crypto.randomUUID(),
});

/** The same, as another shop sees it. */
export const forShop = (context: Context, shop: ShopId): Context =>
  context.store.shop === shop ? context : { ...context, store: context.store.of(shop) };

let shared: Context | null = null;

/** The context of the running server, opened at first use: as the shop sees it that is asked for just now. */
export function context(): Context {
  shared ??= freshContext();
  return forShop(shared, shopOfActor(whoAsks()));
}
