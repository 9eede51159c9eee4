import type { ShownSecrets } from '../people/sessions';
import { doorState, INSIDE } from './door-state';

const NAME = 'serrata-session';
/** Taken by a browser only where the connection is encrypted, for this very name and all of its addresses. */
const SECURE_NAME = `__Host-${NAME}`;
/** More is none of ours. */
const LONGEST = 200;

/** Whether what is sent back travels encrypted: by this server, or as the named proxy says of itself. */
export const isEncrypted = (headers: Headers): boolean =>
  doorState()?.isEncrypted === true || headers.get('x-forwarded-proto') === 'https';

/** Says which shop a bench works for, where nobody signs in. It lets nobody in. */
const SHOP_COOKIE = 'serrata-shop';

function cookieOf(headers: Headers, name: string): string | null {
  const pairs = (headers.get('cookie') ?? '').split(/;\s*/);
  const found = pairs.find((pair) => pair.startsWith(`${name}=`));
  return found ? found.slice(name.length + 1, name.length + 1 + LONGEST) : null;
}

/** What a request shows: the token of a program, or the session of a browser. */
export function shownBy(headers: Headers): ShownSecrets {
  // Of other kinds, such as a proxy's own, none is ours.
  const token = /^Bearer (.*)$/i.exec(headers.get('authorization') ?? '')?.[1]?.slice(0, LONGEST) ?? null;
  return {
    token,
    session: token === null ? cookieOf(headers, isEncrypted(headers) ? SECURE_NAME : NAME) : null,
    inside: headers.get(INSIDE),
    shop: cookieOf(headers, SHOP_COOKIE),
  };
}

/** The line that has a bench work for a shop from now on. */
export const shopCookie = (shop: string): string =>
  `${SHOP_COOKIE}=${shop}; Max-Age=31536000; Path=/; HttpOnly; SameSite=Strict`;

/** The line that has a browser show a session from now on; or no more, where there is none. */
export function sessionCookie(headers: Headers, begun: { secret: string; seconds: number } | null): string {
  const isSafe = isEncrypted(headers);
  const age = begun ? begun.seconds : 0;
  return [
    `${isSafe ? SECURE_NAME : NAME}=${begun?.secret ?? ''}`,
    `Max-Age=${age}`,
    'Path=/',
    'HttpOnly',
    'SameSite=Strict',
    ...(isSafe ? ['Secure'] : []),
  ].join('; ');
}
