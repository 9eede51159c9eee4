import type { MiddlewareHandler } from 'astro';
import { atTheDoor, errorReply, isOurs, NOTHING_HERE, ownAddress, SAFETY_HEADERS, shopNames, turnAway } from './server';

/**
 * Standard controls write style attributes, which hold no code. Scripts and style sheets stay closed but for what the
 * build knows.
 */
function allowStyleAttributes(headers: Headers): void {
  const policy = headers.get('Content-Security-Policy');
  if (policy) headers.set('Content-Security-Policy', `${policy.replace(/;\s*$/, '')}; style-src-attr 'unsafe-inline'`);
}

// Whatever serves these pages, it does not serve them to the network.
ownAddress();
const names = shopNames();

/** At the door: foreign, oversized and untyped requests are turned away; every answer carries the safety headers. */
export const onRequest: MiddlewareHandler = async ({ request, url, routePattern }, next) => {
  const { method, headers } = request;
  // The server asks for names before it hears anything; whoever serves these pages otherwise asks here.
  const turned =
    atTheDoor({ method, host: headers.get('host') ?? undefined }, names) ??
    (isOurs(routePattern) ? turnAway(method, headers, url.pathname) : NOTHING_HERE);
  const response = turned ? errorReply(turned.status, turned) : await next();
  for (const [name, value] of Object.entries(SAFETY_HEADERS)) response.headers.set(name, value);
  allowStyleAttributes(response.headers);
  // Pages and answers are the shop's own: nothing on the way keeps them, unless they say that it may.
  if (!response.headers.has('Cache-Control')) response.headers.set('Cache-Control', 'no-store');
  return response;
};
