import type { APIRoute } from 'astro';
import { shelvedSchema } from '../../../contract';
import { answer, body, context, shelved } from '../../../server';

/** How the parts of a list stand on the shelf. Asked by POST, for the list is long. */
export const POST: APIRoute = ({ request }) =>
  answer(async () => shelved(context(), (await body(request, shelvedSchema)).skus));
