import { timingSafeEqual } from 'node:crypto';
import { addDays, differenceInMilliseconds, differenceInSeconds, subHours } from 'date-fns';
import type { SessionEnd } from '../../core/people';
import {
  addPeopleEvent,
  addSession,
  endSession,
  isShop,
  sessionSeen,
  shownSession,
  shownToken,
  type SessionRecord,
} from '../../data/repositories';
import { FIRST_SHOP } from '../../data/shops/names';
import type { Transaction } from '../../data/store';
import type { Context } from '../context';
import { doorState } from '../http/door-state';
import type { Actor, Known } from './actor';
import { newToken, tokenHash } from './secrets';

/** Nobody heard of it for so long: it counts no more. A day at the bench is shorter. */
const IDLE_HOURS = 12;
/** However busy, after so many days somebody signs in again. */
const LONGEST_DAYS = 30;
/** That it was heard of is noted this often, ms: else every look would be a write. */
const NOTED_EVERY_MS = 5 * 60_000;

/** What somebody shows with a request. */
export interface ShownSecrets {
  readonly session: string | null;
  readonly token: string | null;
  /** What the server itself shows. */
  readonly inside: string | null;
  /** The shop that whoever is at the machine chose to work for, where nobody signs in. */
  readonly shop: string | null;
}

/** Whether it is the server that asks for its own pages. */
export function isOurselves(shown: string | null): boolean {
  const kept = doorState()?.inside;
  if (shown === null || kept === undefined || shown.length !== kept.length) return false;
  return timingSafeEqual(Buffer.from(shown), Buffer.from(kept));
}

/** The moment since which a session must have been heard of. */
export const idleSince = (now: Date): string => subHours(now, IDLE_HOURS).toISOString();

/** Notes that a session was heard of, with nobody waiting for it. */
function noted({ store, now }: Context, { id, seenAt }: { readonly id: string; readonly seenAt: string }): void {
  const at = now();
  if (differenceInMilliseconds(at, seenAt) < NOTED_EVERY_MS) return;
  store.write((tx) => sessionSeen(tx, id, at.toISOString())).catch(() => undefined);
}

/**
 * Who asks, by what they show.
 * @param isQuiet whether their session is not to be noted as heard of
 */
export async function actorOf(
  context: Context,
  { session, token, inside, shop }: ShownSecrets,
  isQuiet = false,
): Promise<Actor> {
  if (isOurselves(inside)) return { as: 'bench', shop: FIRST_SHOP };
  const now = context.now();
  const { db } = context.store.whole;
  const at = now.toISOString();
  const { isClosed, found } =
    token === null
      ? await shownSession(db, tokenHash(session ?? ''), at, idleSince(now))
      : await shownToken(db, tokenHash(token), at);
  if (!isClosed) return { as: 'bench', shop: shop !== null && (await isShop(db, shop)) ? shop : FIRST_SHOP };
  if (!found) return { as: 'nobody' };
  const { seenAt, ...known } = found;
  if (seenAt !== null && !isQuiet) noted(context, { id: found.id, seenAt });
  return { as: token === null ? 'person' : 'token', ...known } satisfies Known;
}

/** What a session begins with. */
export interface Beginning {
  readonly person: { readonly id: string; readonly name: string };
  readonly how: SessionRecord['how'];
  readonly device: string;
  /** The session that the browser showed until now: it ends in the same write. */
  readonly before: string | null;
  readonly beforeEnds: SessionEnd;
}

/** Begins a session, with a secret that nobody showed before. @returns what the browser is to show */
export async function begin(
  tx: Transaction,
  { now, newId }: Pick<Context, 'now' | 'newId'>,
  { person, how, device, before, beforeEnds }: Beginning,
): Promise<{ readonly secret: string; readonly seconds: number }> {
  const at = now();
  const startedAt = at.toISOString();
  const secret = newToken();
  if (before !== null) await endSession(tx, before, startedAt, beforeEnds);
  const endsAt = addDays(at, LONGEST_DAYS);
  await addSession(tx, {
    ...{ id: newId(), hash: tokenHash(secret), personId: person.id, how, device },
    ...{ startedAt, endsAt: endsAt.toISOString() },
  });
  await addPeopleEvent(tx, {
    ...{ what: how === 'pin' ? 'took-over' : 'signed-in', about: person.name, detail: device },
    ...{ at: startedAt, by: person.name },
  });
  return { secret, seconds: differenceInSeconds(endsAt, at) };
}
