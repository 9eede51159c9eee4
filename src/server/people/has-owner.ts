import { accounts } from '../../data/repositories';
import type { Context } from '../context';
import { ownersOf } from '../use-cases/people/find';

/** Whether there is an owner who can sign in. */
export const hasOwner = async ({ store }: Context): Promise<boolean> => ownersOf(await accounts(store.db)).length > 0;
