import { randomUUID } from 'node:crypto';
import type { APIContext, MiddlewareHandler, MiddlewareNext } from 'astro';
import {
  admit,
  answeredCount,
  answeredLine,
  answerFile,
  askedBy,
  atTheDoor,
  context,
  doorState,
  errorReply,
  forRequest,
  isOurs,
  letListen,
  NOTHING_HERE,
  mustBeOpened,
  placeNow,
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
// What these pages write is told by the streams that the server opens.
letListen();

const isPage = (route: string): boolean => !/^\/(api|simulated)\//.test(route);

/** The id that a request bears already, where it can be one; else one of its own. */
const idOf = (headers: Headers): string => /^[\w-]{8,64}$/.exec(headers.get('x-request-id') ?? '')?.[0] ?? randomUUID();

/** Answers a request, or says why whoever asks is turned away. */
async function answered(
  { request, url, routePattern, params, locals, redirect }: APIContext,
  next: MiddlewareNext,
): Promise<Response> {
  const { method, headers } = request;
  const turned: Turned | null =
    // The server asks for names before it hears anything; whoever serves these pages otherwise asks here.
    (doorState() ? null : atTheDoor({ method, host: headers.get('host') ?? undefined }, shopNames())) ??
    (isOurs(routePattern) ? turnAway(method, headers, url.pathname) : NOTHING_HERE);
  if (turned) return errorReply(turned.status, turned);
  const wanted = { route: routePattern, method, params, shown: shownBy(headers) };
  if (!isPage(routePattern)) {
    return answerFile(async () => {
      const { actor, turned: not } = await admit(context(), wanted);
      return not ? errorReply(not.status, not) : askedBy(actor, next);
    });
  }
  // Before anything that the page shows is read: what changes meanwhile is told to it.
  const [drawnAt, { actor, turned: not }] = await Promise.all([placeNow(context()), admit(context(), wanted)]);
  locals.drawnAt = drawnAt;
  if (!not) return askedBy(actor, next);
  if (method !== 'GET') return errorReply(not.status, not);
  const to = turnedFromPage(not, actor, url);
  return 'redirect' in to ? redirect(to.redirect, 303) : askedBy(actor, () => next(to.rewrite));
}

/**
 * At the door: foreign, oversized and untyped requests are turned away, and whoever may not; every answer carries the
 * safety headers, and is told in one line of the log.
 */
export const onRequest: MiddlewareHandler = (asked, next) => {
  const { request, routePattern: route } = asked;
  const id = idOf(request.headers);
  return forRequest(id, async () => {
    const began = performance.now();
    const response = await answered(asked, next);
    for (const [name, value] of Object.entries(SAFETY_HEADERS)) response.headers.set(name, value);
    response.headers.set('X-Request-Id', id);
    allowStyleAttributes(response.headers);
    // Pages and answers are the shop's own: nothing on the way keeps them, unless they say that it may.
    if (!response.headers.has('Cache-Control')) response.headers.set('Cache-Control', 'no-store');
    const ms = Math.round((performance.now() - began) * 10) / 10;
    const line = { method: request.method, route, status: response.status, ms };
    answeredLine(line);
    answeredCount(line);
    return response;
  });
};
