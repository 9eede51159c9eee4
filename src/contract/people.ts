import { z } from 'zod';
import { ROLES, type PeopleEvent, type Role } from '../core/people';

const name = z.string().trim().min(1, 'Write the name.').max(80);
/** Longer than any that may be set: what is too long is refused by a sentence of its own. */
const secret = z.string().min(1).max(400);
const role = z.enum(ROLES);
/** Whose saws a reader sees. */
const customerId = z.string().min(1).max(80).nullable();

/** Somebody signs in. */
export const signInSchema = z.strictObject({ name, password: secret });
export type SignIn = z.infer<typeof signInSchema>;

/** Somebody takes over a bench that another is signed in at. */
export const takeOverSchema = z.strictObject({ name, pin: secret });
export type TakeOver = z.infer<typeof takeOverSchema>;

/** Somebody sets another password for themselves. */
export const ownPasswordSchema = z.strictObject({ old: secret, password: secret });
export type OwnPassword = z.infer<typeof ownPasswordSchema>;

/** Somebody sets a PIN for themselves; null takes it away. */
export const ownPinSchema = z.strictObject({ password: secret, pin: secret.nullable() });
export type OwnPin = z.infer<typeof ownPinSchema>;

export const addPersonSchema = z.strictObject({
  name,
  role: role.optional(),
  customerId: customerId.optional(),
});
export type AddPerson = z.infer<typeof addPersonSchema>;

/** What an owner changes of somebody; what is left out stays. */
export const changePersonSchema = z.strictObject({
  role: role.optional(),
  customerId: customerId.optional(),
  /** Whether they are here no more. */
  left: z.boolean().optional(),
});
export type ChangePerson = z.infer<typeof changePersonSchema>;

/** A password that an owner gives somebody. */
export const givePasswordSchema = z.strictObject({ password: secret });

/** Days that a token may count. */
export const TOKEN_DAYS = { least: 1, most: 366 } as const;

export const makeTokenSchema = z.strictObject({
  name,
  role,
  customerId: customerId.optional(),
  days: z.int().min(TOKEN_DAYS.least).max(TOKEN_DAYS.most),
});
export type MakeToken = z.infer<typeof makeTokenSchema>;

/** Who is signed in here. */
export interface Me {
  readonly name: string;
  readonly role: Role;
  /** The one customer whose saws a reader sees. */
  readonly customerId: string | null;
}

/** What a page learns of its session. */
export interface SessionView {
  /** Whether people sign in here at all. */
  readonly isClosed: boolean;
  readonly me: Me | null;
}

/** Somebody a bench can be given over to. */
export interface BenchPerson {
  readonly id: string;
  readonly name: string;
  readonly hasPin: boolean;
}

export interface AccountView extends BenchPerson {
  readonly role: Role;
  readonly customerId: string | null;
  readonly customer: string | null;
  readonly leftAt: string | null;
  readonly hasPassword: boolean;
}

/** A browser that somebody is signed in with. */
export interface OpenSessionView {
  readonly id: string;
  readonly name: string;
  readonly how: 'password' | 'pin';
  readonly device: string;
  readonly startedAt: string;
  readonly seenAt: string;
  /** Whether it is the one that asks. */
  readonly isThis: boolean;
}

export interface TokenView {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly customer: string | null;
  readonly endsAt: string;
  readonly at: string;
  readonly by: string;
  readonly state: 'counts' | 'run-out' | 'revoked';
}

/** Everybody who may come in, and with what. */
export interface PeopleView {
  readonly accounts: readonly AccountView[];
  readonly sessions: readonly OpenSessionView[];
  readonly tokens: readonly TokenView[];
}

/** A token as it is shown once. */
export interface MadeToken {
  readonly token: string;
  readonly people: PeopleView;
}

/** What of the records an audit may be narrowed to. */
export const AUDIT_KINDS = ['people', 'jobs', 'stock', 'gear', 'shop'] as const;
export type AuditKind = (typeof AUDIT_KINDS)[number];

/** What an audit is narrowed to. */
export const auditAskedSchema = z.object({
  by: z.string().max(80).catch('').default(''),
  kind: z.enum(AUDIT_KINDS).nullable().catch(null).default(null),
  /** From and until these days, in the shop's time; what is no day is none. */
  from: z.iso.date().nullable().catch(null).default(null),
  until: z.iso.date().nullable().catch(null).default(null),
  /** Only records before this one, by its number in the chain. */
  before: z.coerce.number().int().min(1).nullable().catch(null).default(null),
});
export type AuditAsked = z.infer<typeof auditAskedSchema>;

/** One thing somebody did. */
export interface AuditRow {
  /** Its number in the chain of records. */
  readonly seq: number;
  readonly at: string;
  readonly by: string;
  readonly kind: AuditKind;
  readonly says: string;
  /** The job it was done to. */
  readonly job: { readonly id: string; readonly tag: string } | null;
}

export interface AuditView {
  readonly rows: readonly AuditRow[];
  /** Where to go on looking; null where all was looked at. */
  readonly before: number | null;
}

export type { PeopleEvent };
