import type { APIRoute } from 'astro';
import { ownPasswordSchema } from '../../../contract';
import { answer, body, cameFrom, context, setOwnPassword } from '../../../server';

/** Somebody sets another password for themselves. */
export const PUT: APIRoute = ({ request, clientAddress }) =>
  answer(async () =>
    setOwnPassword(context(), await body(request, ownPasswordSchema), cameFrom(request, clientAddress)),
  );
