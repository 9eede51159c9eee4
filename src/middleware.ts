import type { MiddlewareHandler } from 'astro';
import { errorReply, SAFETY_HEADERS, turnAway } from './server';

/** Standard controls write style attributes, which hold no code. Scripts and style sheets stay closed but for what the build knows. */
function allowStyleAttributes(headers: Headers): void {
  const policy = headers.get('Content-Security-Policy');
  if (policy) headers.set('Content-Security-Policy', `${policy.replace(/;\s*$/, '')}; style-src-attr 'unsafe-inline'`);
}

/** At the door: foreign, oversized and untyped requests are turned away; every answer carries the safety headers. */
export const onRequest: MiddlewareHandler = async ({ request, url }, next) => {
  const turned = turnAway(request.method, request.headers, url.pathname);
  const response = turned ? errorReply(turned.status, turned) : await next();
  for (const [name, value] of Object.entries(SAFETY_HEADERS)) response.headers.set(name, value);
  allowStyleAttributes(response.headers);
  // Pages and answers are the shop's own: nothing on the way keeps them, unless they say that it may.
  if (!response.headers.has('Cache-Control')) response.headers.set('Cache-Control', 'no-store');
  return response;
};
