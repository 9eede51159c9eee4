import type { APIRoute } from 'astro';
import { answer, caliperStream, Refusal } from '../../../server';

/** What the simulated caliper says, as it says it. */
export const GET: APIRoute = ({ request }) => {
  try {
    return caliperStream(request.method);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return answer(() => Promise.reject(error));
  }
};
