import { AsyncLocalStorage } from 'node:async_hooks';
import type { Role } from '../../core/people';
import { FIRST_SHOP, type ShopId } from '../../data/shops/names';
import { UNNAMED } from '../../wording';

/** Somebody who is known: a person by their session, another program by its token. */
export interface Known {
  readonly as: 'person' | 'token';
  /** The session's or the token's id. */
  readonly id: string;
  /** The person's own id; null for a program. */
  readonly personId: string | null;
  readonly name: string;
  readonly role: Role;
  /** The one customer whose saws a reader sees. */
  readonly customerId: string | null;
  /** What the session began with; null for a program. */
  readonly how: 'password' | 'pin' | null;
  /** The shop they are of. */
  readonly shop: ShopId;
}

/**
 * Who asks. Where nobody has a password yet, it is whoever is at this machine, under the name that they choose; nobody
 * where people sign in and whoever asks has not.
 */
export type Actor = { readonly as: 'bench'; readonly shop: ShopId } | { readonly as: 'nobody' } | Known;

const asking = new AsyncLocalStorage<Actor>();
const AT_THE_BENCH: Actor = { as: 'bench', shop: FIRST_SHOP };

/** Does some work for who asks: whatever it writes, it writes in their name. */
export const askedBy = <T>(actor: Actor, work: () => T): T => asking.run(actor, work);

/** Who asks for what is done just now; whoever is at the machine, outside of any request. */
export const whoAsks = (): Actor => asking.getStore() ?? AT_THE_BENCH;

/** The shop that somebody asks for: what they see is what it sees. Who is nobody sees the door of the first. */
export const shopOfActor = (actor: Actor): ShopId => (actor.as === 'nobody' ? FIRST_SHOP : actor.shop);

/** Whoever is known of those who ask. */
export function knownAsker(): Known | null {
  const actor = whoAsks();
  return actor.as === 'person' || actor.as === 'token' ? actor : null;
}

/** The name that something is written under: who is signed in, whatever name was sent; else the name that was. */
export const writtenBy = (sent: string | null | undefined): string => knownAsker()?.name ?? (sent || UNNAMED);
