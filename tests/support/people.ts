import type { Role } from '../../src/core/people';
import { accounts } from '../../src/data/repositories';
import type { Context } from '../../src/server/context';
import { askedBy, type Known } from '../../src/server/people/actor';
import { actorOf } from '../../src/server/people/sessions';
import { givePassword, joinShop, signIn } from '../../src/server/use-cases/people';

export const FROM = { address: '192.168.7.4', device: 'Firefox on Linux' } as const;
/** Passwords that nobody has on a list. */
export const PASSWORD = 'gravel lantern spoon';
export const OTHER_PASSWORD = 'willow ferry cabbage';

/** Adds somebody with a password. @returns their id */
export async function withPassword(
  context: Context,
  name: string,
  role: Role,
  customerId: string | null = null,
  password: string = PASSWORD,
): Promise<string> {
  await joinShop(context, { name, role, customerId });
  const { id } = (await accounts(context.store.db)).find((each) => each.name === name)!;
  await givePassword(context, id, password, FROM);
  return id;
}

/** Who a browser that shows this is. */
export const shownBy = (context: Context, session: string | null) =>
  actorOf(context, { session, token: null, inside: null, shop: null });

/** Does something as somebody who signed in. */
export async function as<T>(context: Context, name: string, work: () => Promise<T>, password = PASSWORD): Promise<T> {
  const { secret } = await signIn(context, { name, password }, FROM);
  return askedBy((await shownBy(context, secret)) as Known, work);
}
