import type { MiddlewareHandler } from 'astro';
import {
  admit,
  askedBy,
  atTheDoor,
  context,
  doorState,
  errorReply,
  isOurs,
  NOTHING_HERE,
  mustBeOpened,
  SAFETY_HEADERS,
  shopNames,
  shownBy,
  turnAway,
  turnedFromPage,
  type Turned,
} from './server';

/**
 * Standard controls write style attributes, which hold no code. Scripts and style sheets stay closed but for what the
 * build knows.
 */
function allowStyleAttributes(headers: Headers): void {
  const policy = headers.get('Content-Security-Policy');
  if (policy) headers.set('Content-Security-Policy', `${policy.replace(/;\s*$/, '')}; style-src-attr 'unsafe-inline'`);
}

// Whatever serves these pages, it does not serve them to the network unless it looked what that needs.
mustBeOpened();

const isPage = (route: string): boolean => !/^\/(api|simulated)\//.test(route);

/**
 * At the door: foreign, oversized and untyped requests are turned away, and whoever may not; every answer carries the
 * safety headers.
 */
export const onRequest: MiddlewareHandler = async ({ request, url, routePattern, params, redirect }, next) => {
  const { method, headers } = request;
  const answered = async (): Promise<Response> => {
    const turned: Turned | null =
      // The server asks for names before it hears anything; whoever serves these pages otherwise asks here.
      (doorState() ? null : atTheDoor({ method, host: headers.get('host') ?? undefined }, shopNames())) ??
      (isOurs(routePattern) ? turnAway(method, headers, url.pathname) : NOTHING_HERE);
    if (turned) return errorReply(turned.status, turned);
    const admitted = await admit(context(), { route: routePattern, method, params, shown: shownBy(headers) });
    const { actor, turned: away } = admitted;
    if (!away) return askedBy(actor, next);
    if (!isPage(routePattern) || method !== 'GET') return errorReply(away.status, away);
    const to = turnedFromPage(away, actor, url);
    return 'redirect' in to ? redirect(to.redirect, 303) : askedBy(actor, () => next(to.rewrite));
  };
  const response = await answered();
  for (const [name, value] of Object.entries(SAFETY_HEADERS)) response.headers.set(name, value);
  allowStyleAttributes(response.headers);
  // Pages and answers are the shop's own: nothing on the way keeps them, unless they say that it may.
  if (!response.headers.has('Cache-Control')) response.headers.set('Cache-Control', 'no-store');
  return response;
};
