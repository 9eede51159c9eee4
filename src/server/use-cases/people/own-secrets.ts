import { addPeopleEvent, credentialOf, endSessionsOf, putCredential, takeCredential } from '../../../data/repositories';
import type { OwnPassword, OwnPin, PeopleEvent } from '../../../contract';
import { secretSays } from '../../../wording';
import type { Context } from '../../context';
import { knownAsker, type Known } from '../../people/actor';
import { mustNotWait, triedInVain } from '../../people/attempts';
import { hashed, isTheOne, problemOf } from '../../people/secrets';
import { Refusal } from '../../refusal';
import type { From } from './sign-in';
import * as texts from '#language/people-refusals';

/** @throws Refusal with what would be right */
export function mustBeGood(kind: 'password' | 'pin', secret: string, name: string): void {
  const problem = problemOf(kind, secret, name);
  if (problem) throw new Refusal(422, `${kind}-refused`, secretSays[kind][problem]);
}

type Person = Known & { readonly personId: string };

/** Whoever asks, once they have given their password again. */
async function sureOf({ store }: Context, password: string, { address }: From): Promise<Person> {
  const asker = knownAsker();
  if (!asker?.personId) throw new Refusal(409, 'no-session', texts.nobodySignsIn);
  await mustNotWait(asker.name, address);
  const kept = await credentialOf(store.db, asker.personId, 'password');
  if (await isTheOne(password, kept?.hash ?? null)) return { ...asker, personId: asker.personId };
  await triedInVain(asker.name, address);
  throw new Refusal(401, 'not-your-password', texts.oldPasswordIsWrong);
}

/** Somebody sets another password for themselves; every other browser of theirs is signed out. */
export async function setOwnPassword(context: Context, { old, password }: OwnPassword, from: From): Promise<void> {
  const { personId, id, name } = await sureOf(context, old, from);
  mustBeGood('password', password, name);
  const hash = await hashed(password);
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    await putCredential(tx, { personId, kind: 'password', hash, wrong: 0, at, by: name });
    await endSessionsOf(tx, personId, at, 'password-set', id);
    await addPeopleEvent(tx, { what: 'password-set', about: name, detail: '', at, by: name });
  });
}

/** Somebody sets their PIN, or takes it away. */
export async function setOwnPin(context: Context, { password, pin }: OwnPin, from: From): Promise<void> {
  const { personId, name } = await sureOf(context, password, from);
  if (pin !== null) mustBeGood('pin', pin, name);
  const hash = pin === null ? null : await hashed(pin);
  const at = context.now().toISOString();
  const what: PeopleEvent = hash === null ? 'pin-taken' : 'pin-set';
  await context.store.write(async (tx) => {
    if (hash === null) await takeCredential(tx, personId, 'pin');
    else await putCredential(tx, { personId, kind: 'pin', hash, wrong: 0, at, by: name });
    await addPeopleEvent(tx, { what, about: name, detail: '', at, by: name });
  });
}
