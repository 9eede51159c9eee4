import { isSameName } from '../../../core/same-name';
import { accounts, type Account } from '../../../data/repositories';
import type { Queryable } from '../../../data/store';
import { notFound } from '../../refusal';

/** Somebody by their name, whatever its capitals; null where nobody is called so, or they are here no more. */
export async function personCalled(db: Queryable, name: string): Promise<Account | null> {
  const all = await accounts(db);
  return all.find((each) => each.leftAt === null && isSameName(each.name, name)) ?? null;
}

/** @throws Refusal where there is nobody of this id */
export async function personOf(db: Queryable, id: string): Promise<Account> {
  const found = (await accounts(db)).find((each) => each.id === id);
  if (!found) throw notFound('person');
  return found;
}

/** Owners who can sign in. */
export const ownersOf = (all: readonly Account[]): readonly Account[] =>
  all.filter(({ role, hasPassword, leftAt }) => role === 'owner' && hasPassword && leftAt === null);
