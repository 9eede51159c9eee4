import type { APIRoute } from 'astro';
import { givePasswordSchema } from '../../../../contract';
import { body, cameFrom, context, givePassword, sessionAnswer } from '../../../../server';

/** An owner gives somebody a password; with the first of a shop, they are signed in. */
export const PUT: APIRoute = ({ params, request, clientAddress }) =>
  sessionAnswer(request.headers, async () => {
    const { password } = await body(request, givePasswordSchema);
    const from = cameFrom(request, clientAddress);
    const { begun } = await givePassword(context(), params.id ?? '', password, from);
    return begun ?? undefined;
  });
