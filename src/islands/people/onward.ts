/**
 * Where somebody goes once they are signed in: where they were going, as far as that is a page of ours.
 * @param at the address of the page they sign in at
 */
export function onwardFrom({ search, origin }: Pick<Location, 'search' | 'origin'>): string {
  const next = new URLSearchParams(search).get('next') ?? '/';
  if (!URL.canParse(next, origin)) return '/';
  const there = new URL(next, origin);
  if (there.origin !== origin || there.pathname === '/sign-in') return '/';
  return `${there.pathname}${there.search}`;
}
