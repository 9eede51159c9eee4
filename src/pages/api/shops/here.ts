import type { APIRoute } from 'astro';
import { workForSchema } from '../../../contract';
import { answerFile, body, context, json, shopCookie, workFor } from '../../../server';

/** The shop that this bench works for from now on. */
export const PUT: APIRoute = ({ request }) =>
  answerFile(async () => {
    const shop = await workFor(context(), await body(request, workForSchema));
    const response = json({ shop });
    response.headers.append('Set-Cookie', shopCookie(shop));
    return response;
  });
