import { randomInt } from 'node:crypto';
import {
  addPeopleEvent,
  addPerson,
  endSessionsOf,
  personAnywhere,
  putCredential,
  setPerson,
} from '../../../data/repositories';
import { bringUpToDate } from '../../../data/migrate';
import { FIRST_SHOP } from '../../../data/shops/names';
import { freshContext, type Context } from '../../context';
import { hashed } from '../../people/secrets';

/** Letters and digits that are told apart in print. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

/** A password of four groups of five letters, such as `k3wzm-…`: nearly a hundred bits. */
const drawn = (): string =>
  Array.from({ length: 4 }, () => Array.from({ length: 5 }, () => LETTERS[randomInt(LETTERS.length)]).join('')).join(
    '-',
  );

/** Makes somebody an owner with a new password, added where nobody is called so, and signs their browsers out. */
async function recovered(context: Context, name: string): Promise<string> {
  const password = drawn();
  const hash = await hashed(password);
  const at = context.now().toISOString();
  const known = await personAnywhere(context.store.whole.db, name);
  await context.store.of(known?.shopId ?? FIRST_SHOP).write(async (tx) => {
    const id = known?.id ?? context.newId();
    if (!known) await addPerson(tx, { id, name });
    const by = known?.name ?? name;
    await setPerson(tx, id, { role: 'owner', customerId: null, leftAt: null });
    await putCredential(tx, { personId: id, kind: 'password', hash, wrong: 0, at, by });
    await endSessionsOf(tx, id, at, 'password-set');
    await addPeopleEvent(tx, { what: 'owner-recovered', about: by, detail: '', at, by });
  });
  return password;
}

/**
 * Whoever can run commands on the machine can make an owner: nobody is shut out for ever.
 * @returns the new password, which is kept nowhere
 */
export async function recoverOwner(name: string): Promise<string> {
  const context = freshContext();
  try {
    await bringUpToDate(context.store);
    return await recovered(context, name);
  } finally {
    await context.store.fold();
    context.store.close();
  }
}
