import type { APIRoute } from 'astro';
import { context, supplierStandIn } from '../../../server';

/** The simulated supplier's own endpoint: it takes its time, and sometimes nobody is there. */
export const GET: APIRoute = async ({ url }) => {
  const behaviour = await supplierStandIn(context(), url.searchParams);
  if (behaviour.line === 'dead') return new Response('Bad Gateway', { status: 502 });
  await new Promise((resolve) => setTimeout(resolve, behaviour.waitMs));
  return new Response(JSON.stringify(behaviour.answer), { headers: { 'Content-Type': 'application/json' } });
};
