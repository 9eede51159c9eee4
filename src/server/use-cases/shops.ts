import {
  accounts,
  addPeopleEvent,
  addPerson,
  addShop,
  allShops,
  endSessionsOf,
  isClosed,
  isShop,
  personAnywhere,
  putCredential,
  setPerson,
  setSharesGear,
  setShopFact,
  shopStanding,
} from '../../data/repositories';
import { FIRST_SHOP, type ShopId } from '../../data/shops/names';
import type { Transaction } from '../../data/store';
import type { AddShop, ShareGear, SharingShopView, ShopOwner, ShopsView, WorkFor } from '../../contract';
import { UNNAMED } from '../../wording';
import { forShop, type Context } from '../context';
import { knownAsker } from '../people/actor';
import { hashed } from '../people/secrets';
import { notFound, Refusal } from '../refusal';
import { ownersOf } from './people/find';
import { mustBeGood } from './people/own-secrets';
import { BEGUN_FACT } from './set-up-facts';
import { factsOf } from './shop';
import { calledElsewhere } from './sister-shops';
import * as texts from '#language/server';

/** Shops of one store. */
const MOST_SHOPS = 50;

const doer = (): string => knownAsker()?.name ?? UNNAMED;

/** Every shop that shares the store, with the one that asks. */
export async function shopsView(context: Context): Promise<ShopsView> {
  const { store } = context;
  const [all, closed] = await Promise.all([allShops(store.whole.db), isClosed(store.whole.db)]);
  const shops = await Promise.all(
    all.map(async (shop): Promise<SharingShopView> => {
      const people = await accounts(store.of(shop.id).db);
      return {
        ...{ id: shop.id, name: calledElsewhere(shop), sharesGear: shop.sharesGear, isOwn: shop.id === store.shop },
        people: people.filter(({ role, leftAt }) => role !== 'reader' && leftAt === null).length,
        hasOwner: ownersOf(people).length > 0,
      };
    }),
  );
  return { shops, isClosed: closed, keepsStore: store.shop === FIRST_SHOP };
}

/** Makes somebody an owner of a shop, with a password where people sign in. */
async function putOwner(
  tx: Transaction,
  {
    id,
    name,
    hash,
    at,
  }: { readonly id: string; readonly name: string; readonly hash: string | null; readonly at: string },
): Promise<void> {
  const by = doer();
  const known = (await accounts(tx)).some((each) => each.id === id);
  if (known) await setPerson(tx, id, { role: 'owner', customerId: null, leftAt: null });
  else {
    await addPerson(tx, { id, name, role: 'owner' });
    await addPeopleEvent(tx, { what: 'person-added', about: name, detail: '', at, by });
  }
  if (hash === null) return;
  await putCredential(tx, { personId: id, kind: 'password', hash, wrong: 0, at, by });
  await endSessionsOf(tx, id, at, 'password-set');
  await addPeopleEvent(tx, { what: 'password-set', about: name, detail: '', at, by });
}

/**
 * Another shop begins on this store: it writes money, dates and lengths as this one does until it says otherwise.
 * @throws Refusal where a name is taken, or its owner could not sign in
 */
export async function beginShop(context: Context, wanted: AddShop): Promise<ShopsView> {
  const { store, newId, now } = context;
  const written = { at: now().toISOString(), by: doer() };
  const closed = await isClosed(store.whole.db);
  if (closed) mustBeGood('password', wanted.password, wanted.owner);
  const hash = closed ? await hashed(wanted.password) : null;
  const { currency, timeZone, style, customerPrice, unit } = factsOf(await shopStanding(store.db));
  const facts = {
    name: wanted.name,
    currency,
    timeZone,
    style,
    customerPrice,
    unit,
    [BEGUN_FACT]: 'begun',
  };
  const id: ShopId = newId().toLowerCase();
  await store.of(id).write(async (tx) => {
    const all = await allShops(tx);
    if (all.length >= MOST_SHOPS) throw new Refusal(409, 'too-many', texts.tooManyShops(MOST_SHOPS));
    if (all.some((shop) => calledElsewhere(shop) === wanted.name))
      throw new Refusal(409, 'name-taken', texts.shopIsCalledSo(wanted.name));
    if (await personAnywhere(tx, wanted.owner))
      throw new Refusal(409, 'name-taken', texts.nameIsOfAnotherShop(wanted.owner));
    await addShop(tx, { id, sharesGear: wanted.sharesGear, ...written });
    for (const [key, value] of Object.entries(facts))
      if (value !== undefined) await setShopFact(tx, key, value, written);
    await putOwner(tx, { id: newId(), name: wanted.owner, hash, at: written.at });
  });
  return shopsView(context);
}

/** A shop gets an owner who can sign in: a new one, or somebody of it. */
export async function giveShopOwner(context: Context, shop: string, { name, password }: ShopOwner): Promise<ShopsView> {
  const { store, newId, now } = context;
  if (!(await isShop(store.whole.db, shop))) throw notFound('shop');
  if (!(await isClosed(store.whole.db))) throw new Refusal(409, 'nobody-signs-in', texts.nobodySignsInYet);
  mustBeGood('password', password, name);
  const hash = await hashed(password);
  await store.of(shop).write(async (tx) => {
    const known = await personAnywhere(tx, name);
    if (known && known.shopId !== shop) throw new Refusal(409, 'name-taken', texts.nameIsOfAnotherShop(name));
    await putOwner(tx, { id: known?.id ?? newId(), name: known?.name ?? name, hash, at: now().toISOString() });
  });
  return shopsView(context);
}

/** Lets the other shops find this one's customers and saws, or no more. */
export async function shareGear(context: Context, { sharesGear }: ShareGear): Promise<ShopsView> {
  const { store, now } = context;
  await store.write(async (tx) => {
    await setSharesGear(tx, store.shop, sharesGear);
    await setShopFact(tx, 'sharesGear', sharesGear ? 'yes' : 'no', { at: now().toISOString(), by: doer() });
  });
  return shopsView(context);
}

/** The shop that a bench works for from now on. @throws Refusal where people sign in: each works for their own */
export async function workFor(context: Context, { shop }: WorkFor): Promise<ShopId> {
  const { whole } = context.store;
  if (await isClosed(whole.db)) throw new Refusal(409, 'people-sign-in', texts.everybodyHasAShop);
  if (!(await isShop(whole.db, shop))) throw notFound('shop');
  return forShop(context, shop).store.shop;
}
