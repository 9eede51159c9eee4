import { and, asc, desc, eq, gt, isNull, ne, sql } from 'drizzle-orm';
import type { SessionEnd } from '../../core/people';
import { append } from '../chain/append';
import { ofThisShop } from '../shops/in-shop';
import { OF_ALL_SHOPS, type ShopId } from '../shops/names';
import { accessToken, credential, customer, peopleEvent, person, session } from '../schema';
import type { Queryable, Transaction } from '../store';
import { builtOnce } from './built-once';

/** Somebody of the shop, and what they can prove who they are with. */
export interface Account {
  readonly id: string;
  readonly name: string;
  readonly role: (typeof person.$inferSelect)['role'];
  readonly customerId: string | null;
  readonly customer: string | null;
  readonly leftAt: string | null;
  readonly hasPassword: boolean;
  readonly hasPin: boolean;
}

const has = (kind: 'password' | 'pin') =>
  sql<boolean>`EXISTS (SELECT 1 FROM ${credential} WHERE ${credential.personId} = ${person.id} AND ${credential.kind} = ${kind})`.mapWith(
    Boolean,
  );

const ACCOUNT = {
  id: person.id,
  name: person.name,
  role: person.role,
  customerId: person.customerId,
  customer: customer.name,
  leftAt: person.leftAt,
  hasPassword: has('password'),
  hasPin: has('pin'),
} as const;

/** Everybody, those who have left included, by name. */
export async function accounts(db: Queryable): Promise<readonly Account[]> {
  return db
    .select(ACCOUNT)
    .from(person)
    .leftJoin(customer, eq(person.customerId, customer.id))
    .orderBy(asc(person.name));
}

export async function setPerson(
  tx: Transaction,
  id: string,
  set: Partial<Pick<typeof person.$inferSelect, 'role' | 'customerId' | 'leftAt'>>,
): Promise<void> {
  await tx
    .update(person)
    .set(set)
    .where(and(eq(person.id, id), ofThisShop(person)));
}

export type CredentialRecord = typeof credential.$inferSelect;

/** What somebody proves who they are with. */
export async function credentialOf(
  db: Queryable,
  personId: string,
  kind: CredentialRecord['kind'],
): Promise<CredentialRecord | null> {
  const [found] = await db
    .select()
    .from(credential)
    .where(and(eq(credential.personId, personId), eq(credential.kind, kind)));
  return found ?? null;
}

export async function putCredential(tx: Transaction, set: CredentialRecord): Promise<void> {
  const { personId: _person, kind: _kind, ...others } = set;
  await tx
    .insert(credential)
    .values(set)
    .onConflictDoUpdate({ target: [credential.personId, credential.kind], set: others });
}

export async function takeCredential(tx: Transaction, personId: string, kind: CredentialRecord['kind']): Promise<void> {
  await tx.delete(credential).where(and(eq(credential.personId, personId), eq(credential.kind, kind)));
}

/** Counts a wrong answer, or forgets them after a right one. */
export async function countWrong(
  tx: Transaction,
  personId: string,
  kind: CredentialRecord['kind'],
  isRight: boolean,
): Promise<void> {
  await tx
    .update(credential)
    .set({ wrong: isRight ? 0 : sql`${credential.wrong} + 1` })
    .where(and(eq(credential.personId, personId), eq(credential.kind, kind)));
}

/** Who shows a session or a token. */
export interface Shown {
  /** Whether anybody can sign in at all: until then there is nothing to show. */
  readonly isClosed: boolean;
  readonly found: {
    readonly id: string;
    readonly personId: string | null;
    readonly name: string;
    readonly role: (typeof person.$inferSelect)['role'];
    readonly customerId: string | null;
    readonly how: 'password' | 'pin' | null;
    readonly seenAt: string | null;
    readonly shop: ShopId;
  } | null;
}

const CLOSED = sql`EXISTS (SELECT 1 FROM ${credential} WHERE ${credential.kind} = 'password' AND ${OF_ALL_SHOPS})`;

/** Whether anybody of any shop can sign in. */
export async function isClosed(db: Queryable): Promise<boolean> {
  const [row] = await db.select({ closed: sql<number>`${CLOSED}` }).from(sql`(SELECT 1)`);
  return row!.closed === 1;
}

type ShownRow = Partial<NonNullable<Shown['found']>> & { readonly isClosed: number };

const shownRow = ({ isClosed, ...row }: ShownRow): Shown => ({
  isClosed: isClosed === 1,
  found: typeof row.id === 'string' ? (row as NonNullable<Shown['found']>) : null,
});

/** What is asked with every request: one row, found by two looks into indexes. */
const bySession = builtOnce((db) =>
  db
    .select({
      isClosed: sql<number>`${CLOSED}`,
      id: session.id,
      personId: session.personId,
      name: person.name,
      role: person.role,
      customerId: person.customerId,
      how: session.how,
      seenAt: session.seenAt,
      shop: person.shopId,
    })
    .from(sql`(SELECT 1)`)
    .leftJoin(
      session,
      and(
        eq(session.hash, sql.placeholder('hash')),
        isNull(session.endedAt),
        gt(session.endsAt, sql.placeholder('now')),
        gt(session.seenAt, sql.placeholder('idleSince')),
      ),
    )
    .leftJoin(person, and(eq(person.id, session.personId), isNull(person.leftAt)))
    .prepare(),
);

const byToken = builtOnce((db) =>
  db
    .select({
      isClosed: sql<number>`${CLOSED}`,
      id: accessToken.id,
      personId: sql<null>`NULL`,
      name: accessToken.name,
      role: accessToken.role,
      customerId: accessToken.customerId,
      how: sql<null>`NULL`,
      seenAt: sql<null>`NULL`,
      shop: accessToken.shopId,
    })
    .from(sql`(SELECT 1)`)
    .leftJoin(
      accessToken,
      and(
        eq(accessToken.hash, sql.placeholder('hash')),
        isNull(accessToken.revokedAt),
        gt(accessToken.endsAt, sql.placeholder('now')),
      ),
    )
    .prepare(),
);

/**
 * Who of all shops shows the session of this hash: nobody where it has ended, or was not heard of for too long.
 * @param idleSince the moment since which it must have been heard of
 */
export async function shownSession(db: Queryable, hash: string, now: string, idleSince: string): Promise<Shown> {
  const [row] = await bySession(db).execute({ hash, now, idleSince });
  const shown = shownRow(row as ShownRow);
  // Somebody who has left has no name here.
  return shown.found?.name ? shown : { ...shown, found: null };
}

/** Which program shows the token of this hash: none where it was revoked or has run out. */
export async function shownToken(db: Queryable, hash: string, now: string): Promise<Shown> {
  const [row] = await byToken(db).execute({ hash, now });
  return shownRow(row as ShownRow);
}

export type SessionRecord = typeof session.$inferSelect;

export async function addSession(
  tx: Transaction,
  begun: Omit<SessionRecord, 'endedAt' | 'why' | 'seenAt'>,
): Promise<void> {
  await tx.insert(session).values({ ...begun, seenAt: begun.startedAt });
}

/** Notes that a session was heard of. */
export async function sessionSeen(tx: Transaction, id: string, at: string): Promise<void> {
  await tx
    .update(session)
    .set({ seenAt: at })
    .where(and(eq(session.id, id), isNull(session.endedAt)));
}

/** Ends one session. @returns whether it went on until now */
export async function endSession(tx: Transaction, id: string, at: string, why: SessionEnd): Promise<boolean> {
  const ended = await tx
    .update(session)
    .set({ endedAt: at, why })
    .where(and(eq(session.id, id), isNull(session.endedAt)))
    .returning({ id: session.id });
  return ended.length > 0;
}

/** Ends all sessions of somebody but one. */
export async function endSessionsOf(
  tx: Transaction,
  personId: string,
  at: string,
  why: SessionEnd,
  but = '',
): Promise<void> {
  await tx
    .update(session)
    .set({ endedAt: at, why })
    .where(and(eq(session.personId, personId), isNull(session.endedAt), ne(session.id, but)));
}

/** Sessions that go on, the one heard of last first. */
export async function sessionsGoingOn(
  db: Queryable,
  now: string,
  idleSince: string,
): Promise<readonly (Omit<SessionRecord, 'hash'> & { readonly name: string })[]> {
  const { hash: _hash, ...columns } = {
    ...{ id: session.id, hash: session.hash, personId: session.personId, how: session.how, device: session.device },
    ...{ startedAt: session.startedAt, seenAt: session.seenAt, endsAt: session.endsAt },
    ...{ endedAt: session.endedAt, why: session.why },
  };
  return db
    .select({ ...columns, name: person.name })
    .from(session)
    .innerJoin(person, eq(person.id, session.personId))
    .where(and(isNull(session.endedAt), gt(session.endsAt, now), gt(session.seenAt, idleSince)))
    .orderBy(desc(session.seenAt));
}

export type TokenRecord = Omit<typeof accessToken.$inferSelect, 'shopId'>;

export async function addToken(tx: Transaction, made: Omit<TokenRecord, 'revokedAt' | 'revokedBy'>): Promise<void> {
  await tx.insert(accessToken).values(made);
}

/** Revokes a token. @returns its name; null where there is none that counts */
export async function revokeToken(tx: Transaction, id: string, at: string, by: string): Promise<string | null> {
  const [revoked] = await tx
    .update(accessToken)
    .set({ revokedAt: at, revokedBy: by })
    .where(and(eq(accessToken.id, id), isNull(accessToken.revokedAt), ofThisShop(accessToken)))
    .returning({ name: accessToken.name });
  return revoked?.name ?? null;
}

/** Every token that was ever made, the newest first. */
export async function tokens(
  db: Queryable,
): Promise<readonly (Omit<TokenRecord, 'hash'> & { readonly customer: string | null })[]> {
  const found = await db
    .select({ token: accessToken, customer: customer.name })
    .from(accessToken)
    .leftJoin(customer, eq(accessToken.customerId, customer.id))
    .orderBy(desc(accessToken.at));
  return found.map(({ token: { hash: _hash, shopId: _shopId, ...token }, customer: name }) => ({
    ...token,
    customer: name,
  }));
}

/** Ends every session and revokes every token, as of a store that was put back: it does not know who was since. */
export async function letNobodyIn(tx: Transaction, at: string, by: string): Promise<void> {
  await tx.update(session).set({ endedAt: at, why: 'put-back' }).where(isNull(session.endedAt));
  await tx
    .update(accessToken)
    .set({ revokedAt: at, revokedBy: by })
    .where(and(isNull(accessToken.revokedAt), OF_ALL_SHOPS));
}

export type PeopleEventRecord = Omit<typeof peopleEvent.$inferSelect, 'seq' | 'shopId'>;

export async function addPeopleEvent(tx: Transaction, event: PeopleEventRecord): Promise<void> {
  await append(tx, peopleEvent, [event]);
}
