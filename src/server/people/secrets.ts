import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';
import pLimit from 'p-limit';
import { passwordProblem, pinProblem, type SecretProblem } from '../../core/people';
import { nobodyWaits } from '../refusal';

/**
 * Hashes worked out at once, and how many may wait: each takes a core for a while, and many at once would keep
 * everybody waiting.
 */
const AT_ONCE = 2;
const MOST_WAITING = 30;
const turns = pLimit(AT_ONCE);

/** A password of somebody who does not exist is held against this, so that it takes as long. */
let nobodys: Promise<string> | null = null;
const ofNobody = (): Promise<string> => (nobodys ??= hash(randomBytes(24).toString('base64url')));

function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (turns.pendingCount >= MOST_WAITING) throw nobodyWaits();
  return turns(work);
}

/** Argon2id at the cost that the package holds for usual: 19 MiB, two passes (OWASP's least). */
export const hashed = (secret: string): Promise<string> => inTurn(() => hash(secret));

/**
 * Whether a password or a PIN is the one.
 * @param kept its hash; null where there is none, which takes as long and is never the one
 */
export async function isTheOne(secret: string, kept: string | null): Promise<boolean> {
  const against = kept ?? (await ofNobody());
  const isIt = await inTurn(() => verify(against, secret).catch(() => false));
  return isIt && kept !== null;
}

/** The passwords that are tried first, made a set when one is first asked for. */
let common: ReadonlySet<string> | null = null;
const isCommon = (password: string): boolean =>
  (common ??= new Set(dictionary['passwords-common'].map(String))).has(password);

/** What speaks against a password or a PIN. */
export const problemOf = (kind: 'password' | 'pin', secret: string, name: string): SecretProblem | null =>
  kind === 'password' ? passwordProblem(secret, isCommon, name) : pinProblem(secret);

/** What a browser or a program shows: 256 bits that nobody guesses. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** How such a thing is kept: nobody who reads the store can show it. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('base64url');
