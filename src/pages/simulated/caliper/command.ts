import type { APIRoute } from 'astro';
import { caliperCommandSchema } from '../../../contract';
import { answer, body, caliperCommand } from '../../../server';

export const POST: APIRoute = ({ request }) =>
  answer(async () => caliperCommand(await body(request, caliperCommandSchema)));
