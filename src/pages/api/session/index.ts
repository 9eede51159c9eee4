import type { APIRoute } from 'astro';
import { signInSchema } from '../../../contract';
import { answer, body, cameFrom, context, sessionAnswer, sessionView, signIn, signOut } from '../../../server';

/** Who is signed in here, and whether anybody has to. */
export const GET: APIRoute = () => answer(async () => sessionView());

/** Somebody signs in. */
export const POST: APIRoute = ({ request, clientAddress }) =>
  sessionAnswer(request.headers, async () =>
    signIn(context(), await body(request, signInSchema), cameFrom(request, clientAddress)),
  );

/** Whoever is signed in signs out. */
export const DELETE: APIRoute = ({ request }) =>
  sessionAnswer(request.headers, async () => {
    await signOut(context());
    return null;
  });
