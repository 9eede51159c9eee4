import type { APIRoute } from 'astro';
import { answer, askSupplier } from '../../../server';

/** Price and delivery for what the shop lacks. Always answers, if only that the supplier does not. */
export const GET: APIRoute = ({ url }) =>
  answer(() => askSupplier(process.env.SERRATA_SUPPLIER ?? new URL('/simulated/supplier', url).href, url.searchParams));
