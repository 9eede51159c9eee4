import type { APIRoute } from 'astro';
import { answer, context, heavily } from '../../server';

/** What the records of a time teach, and how the shop did in it: `from` and `until` are days. */
export const GET: APIRoute = ({ request, url }) =>
  answer(() => {
    const day = (name: string) => url.searchParams.get(name) ?? '';
    return heavily(context(), 'figures', [day('from'), day('until')], request.signal);
  });
