import type { APIRoute } from 'astro';
import { answer, askedOfPicture, context, heavily } from '../../server';

/** Measures a PNG or JPEG, which is the body itself, by the card in it. It is not kept. */
export const POST: APIRoute = ({ request, url }) =>
  answer(async () => {
    const asked = askedOfPicture(url.searchParams);
    const bytes = new Uint8Array(await request.arrayBuffer());
    return heavily(context(), 'picture', [bytes, asked], request.signal);
  });
