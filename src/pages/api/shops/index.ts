import type { APIRoute } from 'astro';
import { addShopSchema } from '../../../contract';
import { answer, beginShop, body, context, shopsView } from '../../../server';

/** Every shop that shares the store. */
export const GET: APIRoute = () => answer(() => shopsView(context()));

/** Another shop begins on this store. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => beginShop(context(), await body(request, addShopSchema)));
