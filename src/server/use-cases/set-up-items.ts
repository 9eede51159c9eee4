import { isRate } from '../../core/limits';
import { accounts, whatIsBrought, type ShopStanding } from '../../data/repositories';
import type { Queryable } from '../../data/store';
import { SET_UP_ITEMS, SET_UP_STATES, type SetUpItem, type SetUpView } from '../../contract';
import { BEGUN_FACT } from './set-up-facts';

/** The fact that somebody settled, left or took up one thing of the set-up. */
export const factOf = (item: SetUpItem): string => `${BEGUN_FACT}.${item}`;

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
export async function itemsOf(db: Queryable, standing: ShopStanding): Promise<SetUpView['items']> {
  const there = await isThere(db, standing);
  return SET_UP_ITEMS.map((id) => {
    const said = SET_UP_STATES.find((state) => state === standing.facts[factOf(id)]);
    return { id, state: there[id] ? 'done' : (said ?? 'open') };
  });
}

/** What is still open of a shop that was begun here; nothing of one that came otherwise. */
export async function stillToSetUp(db: Queryable, standing: ShopStanding): Promise<readonly SetUpItem[]> {
  if (standing.facts[BEGUN_FACT] === undefined) return [];
  return (await itemsOf(db, standing)).filter(({ state }) => state === 'open').map(({ id }) => id);
}

/** Whether nobody has begun a shop in a store: it has neither a name, nor people, nor jobs. */
export const isNewShop = ({ facts, people }: ShopStanding): boolean =>
  facts[BEGUN_FACT] === undefined && facts.name === undefined && people.length === 0;
