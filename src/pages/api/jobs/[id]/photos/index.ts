import type { APIRoute } from 'astro';
import { answer, context, storePhoto } from '../../../../../server';

/** Takes a PNG or JPEG as the body itself; who took it stands in the address. */
export const POST: APIRoute = ({ params, request, url }) =>
  answer(async () =>
    storePhoto(
      context(),
      params.id ?? '',
      (url.searchParams.get('by') ?? '').slice(0, 80),
      await request.arrayBuffer(),
    ),
  );
