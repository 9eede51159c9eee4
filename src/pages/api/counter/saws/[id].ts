import type { APIRoute } from 'astro';
import { answer, context, sawMemory } from '../../../../server';

export const GET: APIRoute = ({ params }) => answer(() => sawMemory(context(), params.id ?? ''));
