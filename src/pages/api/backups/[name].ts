import type { APIRoute } from 'astro';
import { context, keptBackup, sentFile } from '../../../server';

/** One backup that is kept, to be carried elsewhere. */
export const GET: APIRoute = ({ params }) =>
  sentFile(() => {
    const name = params.name ?? '';
    return { file: keptBackup(context(), name), name };
  });
