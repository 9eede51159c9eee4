import type { MiddlewareHandler } from 'astro';
import { errorReply, SAFETY_HEADERS, turnAway } from './server';

/** At the door: foreign, oversized and untyped requests are turned away; every answer carries the safety headers. */
export const onRequest: MiddlewareHandler = async ({ request, url }, next) => {
  const turned = turnAway(request.method, request.headers, url.pathname);
  const response = turned ? errorReply(turned.status, turned) : await next();
  for (const [name, value] of Object.entries(SAFETY_HEADERS)) response.headers.set(name, value);
  // Pages and answers are the shop's own: nothing on the way keeps them, unless they say that it may.
  if (!response.headers.has('Cache-Control')) response.headers.set('Cache-Control', 'no-store');
  return response;
};
