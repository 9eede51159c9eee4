import type { APIRoute } from 'astro';
import { answer, context, modelMemory } from '../../../../server';

export const GET: APIRoute = ({ params }) => answer(() => modelMemory(context(), params.id ?? ''));
