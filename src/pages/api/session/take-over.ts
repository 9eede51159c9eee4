import type { APIRoute } from 'astro';
import { takeOverSchema } from '../../../contract';
import { body, cameFrom, context, sessionAnswer, takeOver } from '../../../server';

/** Somebody takes over the bench of whoever is signed in, with their PIN. */
export const POST: APIRoute = ({ request, clientAddress }) =>
  sessionAnswer(request.headers, async () =>
    takeOver(context(), await body(request, takeOverSchema), cameFrom(request, clientAddress)),
  );
