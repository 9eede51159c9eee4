import type { Turned } from '../http/guard';
import type { Actor } from './actor';

/** Where somebody is led who may not see a page. */
export type Led = { readonly redirect: string } | { readonly rewrite: string };

/** Leads whoever may not see a page on: to sign in, to what is theirs, or to a page that says why not. */
export function turnedFromPage({ status }: Turned, actor: Actor, { pathname, search }: URL): Led {
  if (status === 401) {
    const next = pathname === '/' ? '' : `?${new URLSearchParams({ next: `${pathname}${search}` }).toString()}`;
    return { redirect: `/sign-in${next}` };
  }
  const isReader = actor.as === 'person' && actor.role === 'reader' && actor.customerId !== null;
  if (isReader && pathname === '/') return { redirect: `/gear/customers/${encodeURIComponent(actor.customerId!)}` };
  return { rewrite: status === 404 ? '/404' : '/403' };
}
