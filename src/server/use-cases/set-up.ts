import { isRate } from '../../core/limits';
import { accounts, setShopFact, shopStanding, whatIsBrought, type ShopStanding } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import { backupFile } from '../../data/keeping/backups';
import { fileOf } from '../../data/keeping/backup';
import {
  SET_UP_ITEMS,
  SET_UP_STATES,
  type SetUpItem,
  type SetUpState,
  type SetUpView,
  type SettleSetUp,
} from '../../contract';
import type { Context } from '../context';
import { sent } from '../errands/send';
import { writtenBy } from '../people/actor';
import { Refusal } from '../refusal';
import { alone } from './alone';
import { BEGUN_FACT, DEMO_FACT } from './set-up-facts';
import { rulesOf, shopOf } from './shop';
import * as texts from '#language/server';

const factOf = (item: SetUpItem): string => `${BEGUN_FACT}.${item}`;

/** Whether something is there already that was said or brought, whatever anybody settled. */
async function isThere(db: Queryable, { facts, people, overrides }: ShopStanding): Promise<Record<SetUpItem, boolean>> {
  const changed = Object.keys(overrides);
  return {
    shop: facts.name !== undefined,
    people: people.length > 0,
    limits: changed.some((id) => !isRate(id)),
    rates: changed.some(isRate),
    ...(await whatIsBrought(db)),
    'sign-in': (await accounts(db)).some(({ hasPassword }) => hasPassword),
  };
}

/** How what a shop begins with stands. */
async function itemsOf(db: Queryable, standing: ShopStanding): Promise<SetUpView['items']> {
  const there = await isThere(db, standing);
  return SET_UP_ITEMS.map((id) => {
    const said = SET_UP_STATES.find((state) => state === standing.facts[factOf(id)]);
    return { id, state: there[id] ? 'done' : (said ?? 'open') };
  });
}

/** What a shop begins with, and how it stands. */
export async function setUpView({ store: { db } }: Context): Promise<SetUpView> {
  const standing = await shopStanding(db);
  return { shop: shopOf(standing), items: await itemsOf(db, standing), limits: rulesOf(standing).limits };
}

/** What is still open of a shop that was begun here; nothing of one that came otherwise. */
export async function stillToSetUp(db: Queryable, standing: ShopStanding): Promise<readonly SetUpItem[]> {
  if (standing.facts[BEGUN_FACT] === undefined) return [];
  return (await itemsOf(db, standing)).filter(({ state }) => state === 'open').map(({ id }) => id);
}

/** Whether nobody has begun a shop in a store: it has neither a name, nor people, nor jobs. */
export const isNewShop = ({ facts, people }: ShopStanding): boolean =>
  facts[BEGUN_FACT] === undefined && facts.name === undefined && people.length === 0;

/** One thing of the set-up is settled, left, or taken up again. */
export async function settleSetUp(context: Context, { by, item, state }: SettleSetUp): Promise<SetUpView> {
  const written = { at: context.now().toISOString(), by: writtenBy(by) };
  await context.store.write(async (tx) => {
    const { facts } = await shopStanding(tx);
    if (facts[BEGUN_FACT] === undefined) await setShopFact(tx, BEGUN_FACT, 'begun', written);
    if ((facts[factOf(item)] ?? 'open') !== state)
      await setShopFact(tx, factOf(item), state satisfies SetUpState, written);
  });
  return setUpView(context);
}

/**
 * Leaves the demo for an empty shop: what stood there is kept as a backup, and can be put back.
 * @throws Refusal where it is no demo
 */
export function leaveDemo({ store, now }: Context): Promise<{ readonly left: true }> {
  return alone(async () => {
    const { facts } = await shopStanding(store.db);
    if (facts[DEMO_FACT] === undefined) throw new Refusal(409, 'no-demo', texts.thisIsNoDemo);
    await sent('beginAnew', backupFile(fileOf(store.url), 'by-hand', now()));
    return { left: true };
  });
}
