import type { APIRoute } from 'astro';
import { rememberSawSchema } from '../../../../contract';
import { answer, body, context, rememberForNextTime, sawsFor } from '../../../../server';

export const GET: APIRoute = ({ url }) => answer(() => sawsFor(context(), url.searchParams.get('q') ?? ''));

export const POST: APIRoute = ({ request }) =>
  answer(async () => rememberForNextTime(context(), await body(request, rememberSawSchema)));
