import type { APIRoute } from 'astro';
import { context, makeArchive, sentFile } from '../../server';

/**
 * The whole shop as an archive of open formats. Asked for as a change is, so that no foreign page can have one made.
 */
export const POST: APIRoute = () =>
  sentFile(async () => ({
    ...(await makeArchive(context())),
    name: `serrata-${context().now().toISOString().slice(0, 10)}.zip`,
  }));
