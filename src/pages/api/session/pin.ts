import type { APIRoute } from 'astro';
import { ownPinSchema } from '../../../contract';
import { answer, body, cameFrom, context, setOwnPin } from '../../../server';

/** Somebody sets a PIN for themselves, or takes it away. */
export const PUT: APIRoute = ({ request, clientAddress }) =>
  answer(async () => setOwnPin(context(), await body(request, ownPinSchema), cameFrom(request, clientAddress)));
