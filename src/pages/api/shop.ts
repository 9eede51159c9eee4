import type { APIRoute } from 'astro';
import { putShopFactsSchema } from '../../contract';
import { answer, body, changeShopFacts, context, shopPage } from '../../server';

/** The shop page's view, for a page that stands open. */
export const GET: APIRoute = () => answer(() => shopPage(context()));

/** What the shop says of itself. */
export const PUT: APIRoute = ({ request }) =>
  answer(async () => changeShopFacts(context(), await body(request, putShopFactsSchema)));
