import type { APIRoute } from 'astro';
import { answer, context, hidePhoto, photoBytes, Refusal } from '../../../../../server';

/** The picture itself. Its id is never used again, so it may be kept. */
export const GET: APIRoute = async ({ params }) => {
  try {
    const { type, bytes } = await photoBytes(context(), params.photo ?? '');
    return new Response(new Uint8Array(bytes), {
      headers: { 'Content-Type': type, 'Cache-Control': 'private, max-age=31536000, immutable' },
    });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return answer(() => Promise.reject(error));
  }
};

export const DELETE: APIRoute = ({ params }) => answer(() => hidePhoto(context(), params.id ?? '', params.photo ?? ''));
