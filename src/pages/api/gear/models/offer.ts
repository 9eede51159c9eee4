import type { APIRoute } from 'astro';
import { answer, context, modelOffer } from '../../../../server';

export const GET: APIRoute = ({ url }) =>
  answer(() => modelOffer(context(), (url.searchParams.get('name') ?? '').slice(0, 120)));
