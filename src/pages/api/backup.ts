import type { APIRoute } from 'astro';
import { context, makeBackup, sentFile } from '../../server';

/**
 * The whole store as one file, to be kept somewhere else. It is asked for as a change is, so that no foreign page can
 * have one made.
 */
export const POST: APIRoute = () =>
  sentFile(async () => {
    const { file } = await makeBackup(context(), 'by-hand');
    return { file, name: `serrata-${context().now().toISOString().slice(0, 10)}.db` };
  });
