import {
  accounts,
  addPeopleEvent,
  addPerson,
  endSession,
  endSessionsOf,
  findCustomer,
  isClosed,
  personAnywhere,
  putCredential,
  sessionsGoingOn,
  setPerson,
  tokens,
  type Account,
} from '../../../data/repositories';
import type { Queryable, Transaction } from '../../../data/store';
import type { AddPerson, BenchPerson, ChangePerson, PeopleView, ShopView, TokenView } from '../../../contract';
import { roleWord, UNNAMED } from '../../../wording';
import type { Context } from '../../context';
import { knownAsker } from '../../people/actor';
import { hashed } from '../../people/secrets';
import { begin, idleSince } from '../../people/sessions';
import { notFound, Refusal } from '../../refusal';
import { shopView } from '../shop';
import { ownersOf, personOf } from './find';
import { mustBeGood } from './own-secrets';
import type { Begun, From } from './sign-in';
import * as texts from '#language/people-refusals';
import { benchIsFull, nameIsOfAnotherShop } from '#language/server';

/** People of one shop, those who have left included. */
const MOST_PEOPLE = 500;

/** Who does it, as it is written down: who is signed in, else nobody by name. */
const doer = (): string => knownAsker()?.name ?? UNNAMED;

/** Everybody a bench can be given over to. */
export async function benchPeople({ store }: Context): Promise<readonly BenchPerson[]> {
  const all = await accounts(store.db);
  return all
    .filter(({ role, leftAt }) => role !== 'reader' && leftAt === null)
    .map(({ id, name, hasPin }) => ({ id, name, hasPin }));
}

const tokenView =
  (now: string) =>
  ({ id, name, role, customer, endsAt, at, by, revokedAt }: Awaited<ReturnType<typeof tokens>>[number]): TokenView => ({
    ...{ id, name, role, customer, endsAt, at, by },
    state: revokedAt !== null ? 'revoked' : endsAt <= now ? 'run-out' : 'counts',
  });

/** Everybody who may come in, and with what. */
export async function peopleView({ store, now }: Context): Promise<PeopleView> {
  const at = now();
  const [all, open, made] = await Promise.all([
    accounts(store.db),
    sessionsGoingOn(store.db, at.toISOString(), idleSince(at)),
    tokens(store.db),
  ]);
  const mine = knownAsker();
  return {
    accounts: all,
    sessions: open.map(({ id, name, how, device, startedAt, seenAt }) => ({
      ...{ id, name, how, device, startedAt, seenAt },
      isThis: mine?.as === 'person' && mine.id === id,
    })),
    tokens: made.map(tokenView(at.toISOString())),
  };
}

/** A reader has a customer, and nobody else has. @throws Refusal where it is not so */
export async function customerFor(
  db: Queryable,
  role: Account['role'],
  customerId: string | null,
): Promise<string | null> {
  if (role !== 'reader') return null;
  if (customerId === null || !(await findCustomer(db, customerId)))
    throw new Refusal(422, 'no-customer', texts.readerNeedsCustomer);
  return customerId;
}

/** Somebody comes to the shop. */
export async function joinShop(
  context: Context,
  { name, role = 'technician', customerId }: AddPerson,
): Promise<ShopView> {
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    const all = await accounts(tx);
    // Of all shops: whoever signs in gives their name alone.
    const known = await personAnywhere(tx, name);
    if (known) {
      const says = known.shopId === context.store.shop ? texts.nameIsTaken(name) : nameIsOfAnotherShop(name);
      throw new Refusal(409, 'name-taken', says);
    }
    if (all.length >= MOST_PEOPLE) throw new Refusal(409, 'too-many', benchIsFull(MOST_PEOPLE));
    const id = context.newId();
    const whose = await customerFor(tx, role, customerId ?? null);
    await addPerson(tx, { id, name, role, customerId: whose });
    await addPeopleEvent(tx, { what: 'person-added', about: name, detail: roleWord[role], at, by: doer() });
  });
  return shopView(context);
}

/** @throws Refusal where nobody could give out passwords any more */
async function mustLeaveAnOwner(tx: Transaction, but: Account): Promise<void> {
  const owners = ownersOf(await accounts(tx));
  if (owners.length === 1 && owners[0]!.id === but.id) throw new Refusal(409, 'last-owner', texts.lastOwner);
}

/** Changes what somebody may do, or whether they are here. */
export async function changePerson(
  context: Context,
  id: string,
  { role, customerId, left }: ChangePerson,
): Promise<PeopleView> {
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    const person = await personOf(tx, id);
    const next = role ?? person.role;
    if (next !== person.role || customerId !== undefined) {
      const whose = await customerFor(tx, next, customerId ?? person.customerId);
      if (next !== 'owner') await mustLeaveAnOwner(tx, person);
      await setPerson(tx, id, { role: next, customerId: whose });
      if (next !== person.role)
        await addPeopleEvent(tx, { what: 'role-set', about: person.name, detail: roleWord[next], at, by: doer() });
    }
    if (left !== undefined && left !== (person.leftAt !== null)) {
      if (left) await mustLeaveAnOwner(tx, person);
      await setPerson(tx, id, { leftAt: left ? at : null });
      if (left) await endSessionsOf(tx, id, at, 'left');
      const what = left ? 'person-left' : 'person-back';
      await addPeopleEvent(tx, { what, about: person.name, detail: '', at, by: doer() });
    }
  });
  return peopleView(context);
}

/**
 * An owner gives somebody a password; whoever was signed in as them is signed out. The first password of a shop is an
 * owner's: from then on people sign in, and whoever gave it is signed in as that owner.
 * @returns the session that begins with the first password; else null
 */
export async function givePassword(
  context: Context,
  id: string,
  password: string,
  { device }: From,
): Promise<{ readonly begun: Begun | null }> {
  const person = await personOf(context.store.db, id);
  mustBeGood('password', password, person.name);
  const hash = await hashed(password);
  const at = context.now().toISOString();
  return context.store.write(async (tx) => {
    const isFirst = !(await isClosed(tx));
    const { leftAt, role, name } = await personOf(tx, id);
    if (leftAt !== null) throw new Refusal(409, 'not-here', texts.notHereAnyMore(name));
    if (isFirst && role !== 'owner') throw new Refusal(409, 'not-an-owner', texts.beginWithAnOwner);
    await putCredential(tx, { personId: id, kind: 'password', hash, wrong: 0, at, by: isFirst ? name : doer() });
    const mine = knownAsker();
    await endSessionsOf(tx, id, at, 'password-set', mine?.personId === id ? mine.id : '');
    await addPeopleEvent(tx, { what: 'password-set', about: name, detail: '', at, by: isFirst ? name : doer() });
    if (!isFirst) return { begun: null };
    return { begun: await begin(tx, context, { person, how: 'password', device, before: null, beforeEnds: 'anew' }) };
  });
}

/** Signs a browser out, wherever it is. */
export async function revokeSession(context: Context, id: string): Promise<PeopleView> {
  const at = context.now();
  const open = await sessionsGoingOn(context.store.db, at.toISOString(), idleSince(at));
  const session = open.find((each) => each.id === id);
  if (!session) throw notFound('session');
  await context.store.write(async (tx) => {
    if (!(await endSession(tx, id, at.toISOString(), 'revoked'))) return;
    const event = { what: 'session-revoked', about: session.name, detail: session.device } as const;
    await addPeopleEvent(tx, { ...event, at: at.toISOString(), by: doer() });
  });
  return peopleView(context);
}
