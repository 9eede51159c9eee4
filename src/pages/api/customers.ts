import type { APIRoute } from 'astro';
import { answer, context, ownersView } from '../../server';

export const GET: APIRoute = ({ url }) => answer(() => ownersView(context(), url.searchParams.get('name') ?? ''));
