import type { APIRoute } from 'astro';
import { shopOwnerSchema } from '../../../../contract';
import { answer, body, context, giveShopOwner } from '../../../../server';

/** A shop gets an owner who can sign in. */
export const POST: APIRoute = ({ request, params }) =>
  answer(async () => giveShopOwner(context(), params.id!, await body(request, shopOwnerSchema)));
