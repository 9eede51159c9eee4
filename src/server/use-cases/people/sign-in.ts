import { PIN_TRIES } from '../../../core/people';
import { addPeopleEvent, countWrong, credentialOf, endSession, personAnywhere } from '../../../data/repositories';
import type { PeopleEvent, SignIn, TakeOver } from '../../../contract';
import { FIRST_SHOP } from '../../../data/shops/names';
import { forShop, type Context } from '../../context';
import { knownAsker } from '../../people/actor';
import { mustNotWait, triedInVain, triedRight } from '../../people/attempts';
import { isTheOne } from '../../people/secrets';
import { begin } from '../../people/sessions';
import { Refusal } from '../../refusal';
import { personCalled } from './find';
import * as texts from '#language/people-refusals';

/** Where somebody signs in from. */
export interface From {
  /** The address of their machine. */
  readonly address: string;
  /** What it runs on, as its browser says it. */
  readonly device: string;
}

/** A session that has begun: what the browser shows from now on, and for how long. */
export type Begun = Awaited<ReturnType<typeof begin>>;

/** The session that the browser showed until now. */
const sessionBefore = (): string | null => {
  const known = knownAsker();
  return known?.as === 'person' ? known.id : null;
};

/** Writes down that somebody came in vain. Nobody waits for it: how long it takes would tell who exists. */
function noteInVain({ store, now }: Context, what: PeopleEvent, about: string, by: string): void {
  const at = now().toISOString();
  store.write((tx) => addPeopleEvent(tx, { what, about, detail: '', at, by })).catch(() => undefined);
}

/** Nobody: what is looked for under this id is not there. */
const NOBODY = '';

/**
 * Somebody signs in with their password. A name that nobody has takes as long, and is refused with the same words.
 * @throws Refusal where name and password do not go together, or have to wait
 */
export async function signIn(asked: Context, { name, password }: SignIn, from: From): Promise<Begun> {
  await mustNotWait(name, from.address);
  const called = await personAnywhere(asked.store.whole.db, name);
  const person = called?.leftAt === null ? called : null;
  // Whoever comes in comes into their own shop.
  const context = forShop(asked, person?.shopId ?? FIRST_SHOP);
  const kept = await credentialOf(context.store.db, person?.id ?? NOBODY, 'password');
  const isIt = await isTheOne(password, kept?.hash ?? null);
  if (!person || !isIt) {
    await triedInVain(name, from.address);
    if (person && kept) noteInVain(context, 'wrong-password', person.name, person.name);
    throw new Refusal(401, 'not-known', texts.doNotGoTogether);
  }
  await triedRight(name);
  return context.store.write(async (tx) => {
    // A PIN that was given wrongly too often counts again.
    await countWrong(tx, person.id, 'pin', true);
    return begin(tx, context, {
      ...{ person, how: 'password', device: from.device },
      ...{ before: sessionBefore(), beforeEnds: 'anew' },
    });
  });
}

/**
 * Somebody takes over a bench with their PIN: the session of whoever was there ends as theirs begins. Each try is
 * counted before it is looked at, so that many at once are no more than one after another.
 * @throws Refusal where it is not the PIN, or it counts no more
 */
export async function takeOver(context: Context, { name, pin }: TakeOver, { device }: From): Promise<Begun> {
  const { store } = context;
  const asker = knownAsker();
  if (asker?.as !== 'person') throw new Refusal(409, 'no-session', texts.nobodySignsIn);
  const person = await personCalled(store.db, name);
  const kept = person && person.role !== 'reader' ? await credentialOf(store.db, person.id, 'pin') : null;
  if (!person || !kept) throw new Refusal(422, 'no-pin', texts.hasNoPin(person?.name ?? name));
  const tries = await store.write(async (tx) => {
    await countWrong(tx, person.id, 'pin', false);
    return (await credentialOf(tx, person.id, 'pin'))?.wrong ?? Infinity;
  });
  if (tries > PIN_TRIES) throw new Refusal(403, 'pin-counts-no-more', texts.pinCountsNoMore);
  if (!(await isTheOne(pin, kept.hash))) {
    noteInVain(context, 'wrong-pin', person.name, asker.name);
    throw new Refusal(401, 'not-the-pin', texts.pinIsWrong(PIN_TRIES - tries));
  }
  return store.write(async (tx) => {
    await countWrong(tx, person.id, 'pin', true);
    return begin(tx, context, { person, how: 'pin', device, before: asker.id, beforeEnds: 'taken-over' });
  });
}

/** Whoever asks signs out: what their browser shows counts no more. */
export async function signOut({ store, now }: Context): Promise<void> {
  const asker = knownAsker();
  if (asker?.as !== 'person') return;
  const at = now().toISOString();
  await store.write(async (tx) => {
    if (await endSession(tx, asker.id, at, 'signed-out'))
      await addPeopleEvent(tx, { what: 'signed-out', about: asker.name, detail: '', at, by: asker.name });
  });
}
