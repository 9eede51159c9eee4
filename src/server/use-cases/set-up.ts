import { setShopFact, shopStanding } from '../../data/repositories';
import { backupFile } from '../../data/keeping/backups';
import { fileOf } from '../../data/keeping/backup';
import type { SetUpState, SetUpView, SettleSetUp } from '../../contract';
import type { Context } from '../context';
import { sent } from '../errands/send';
import { writtenBy } from '../people/actor';
import { Refusal } from '../refusal';
import { alone } from './alone';
import { BEGUN_FACT, DEMO_FACT } from './set-up-facts';
import { factOf, itemsOf } from './set-up-items';
import { rulesOf, shopOf } from './shop';
import * as texts from '#language/server';

/** What a shop begins with, and how it stands. */
export async function setUpView({ store: { db } }: Context): Promise<SetUpView> {
  const standing = await shopStanding(db);
  return { shop: shopOf(standing), items: await itemsOf(db, standing), limits: rulesOf(standing).limits };
}

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
