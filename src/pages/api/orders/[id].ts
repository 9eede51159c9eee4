import type { APIRoute } from 'astro';
import { orderActSchema } from '../../../contract';
import { actOnOrder, answer, body, context, supplierAt } from '../../../server';

/** Asks how an order stands, books in what came, or calls it off. */
export const POST: APIRoute = ({ params, request, url }) =>
  answer(async () => actOnOrder(context(), params.id ?? '', await body(request, orderActSchema), supplierAt(url)));
