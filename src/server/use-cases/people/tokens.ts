import { addDays } from 'date-fns';
import { addPeopleEvent, addToken, revokeToken } from '../../../data/repositories';
import type { MadeToken, MakeToken, PeopleView } from '../../../contract';
import { roleWord } from '../../../wording';
import type { Context } from '../../context';
import { writtenBy } from '../../people/actor';
import { newToken, tokenHash } from '../../people/secrets';
import { notFound } from '../../refusal';
import { customerFor, peopleView } from './accounts';

/** Makes a token for another program. It is shown once; what is kept of it shows nobody in. */
export async function makeToken(
  context: Context,
  { name, role, customerId = null, days }: MakeToken,
): Promise<MadeToken> {
  const now = context.now();
  const [at, by] = [now.toISOString(), writtenBy(null)];
  const token = `serrata_${newToken()}`;
  await context.store.write(async (tx) => {
    const whose = await customerFor(tx, role, customerId);
    await addToken(tx, {
      ...{ id: context.newId(), name, role, customerId: whose, hash: tokenHash(token) },
      ...{ endsAt: addDays(now, days).toISOString(), at, by },
    });
    await addPeopleEvent(tx, { what: 'token-made', about: name, detail: roleWord[role], at, by });
  });
  return { token, people: await peopleView(context) };
}

/** Revokes a token: whatever shows it is let in no more. */
export async function takeTokenBack(context: Context, id: string): Promise<PeopleView> {
  const [at, by] = [context.now().toISOString(), writtenBy(null)];
  await context.store.write(async (tx) => {
    const about = await revokeToken(tx, id, at, by);
    if (about === null) throw notFound('token');
    await addPeopleEvent(tx, { what: 'token-revoked', about, detail: '', at, by });
  });
  return peopleView(context);
}
