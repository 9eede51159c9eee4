import type { APIRoute } from 'astro';
import { addPersonSchema } from '../../../contract';
import { answer, benchPeople, body, context, joinShop } from '../../../server';

/** Everybody a bench can be given over to. */
export const GET: APIRoute = () => answer(() => benchPeople(context()));

/** Somebody comes to the shop. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => joinShop(context(), await body(request, addPersonSchema)));
