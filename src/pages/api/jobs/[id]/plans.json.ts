import type { APIRoute } from 'astro';
import { answer, context, plansOf, supplierAt } from '../../../../server';

/** The plans of a job; with `?supplier=yes` the supplier is asked for its chain too. */
export const GET: APIRoute = ({ params, url, request }) =>
  answer(() => {
    const supplier = url.searchParams.get('supplier') === 'yes' ? supplierAt(url) : null;
    return plansOf(context(), params.id ?? '', supplier, request.signal);
  });
