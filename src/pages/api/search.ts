import type { APIRoute } from 'astro';
import { answer, context, searchView } from '../../server';

export const GET: APIRoute = ({ url }) => answer(() => searchView(context(), url.searchParams.get('q') ?? ''));
