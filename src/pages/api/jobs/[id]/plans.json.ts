import type { APIRoute } from 'astro';
import { answer, context, jobPlans, supplierAt } from '../../../../server';

/** The plans of a job; with `?supplier=yes` the supplier is asked for its chain too. */
export const GET: APIRoute = ({ params, url }) =>
  answer(() =>
    jobPlans(context(), params.id ?? '', url.searchParams.get('supplier') === 'yes' ? supplierAt(url) : null),
  );
