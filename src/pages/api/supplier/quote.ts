import type { APIRoute } from 'astro';
import { answer, askSupplier, supplierAt } from '../../../server';

/** Price and delivery for what the shop lacks. Always answers, if only that the supplier does not. */
export const GET: APIRoute = ({ url }) => answer(() => askSupplier(supplierAt(url), url.searchParams));
