import type { APIRoute } from 'astro';
import { answer, context, photoId, storePhoto, writtenBy } from '../../../../../server';

/** Takes a PNG or JPEG as the body itself; who took it, and the id it goes by, stand in the address. */
export const POST: APIRoute = ({ params, request, url }) =>
  answer(async () =>
    storePhoto(
      context(),
      params.id ?? '',
      writtenBy((url.searchParams.get('by') ?? '').slice(0, 80)),
      await request.arrayBuffer(),
      photoId(url.searchParams),
    ),
  );
