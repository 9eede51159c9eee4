import type { APIRoute } from 'astro';
import { z } from 'zod';
import { context, orderStandIn } from '../../../server';

const placedSchema = z.object({ id: z.string().max(60), sku: z.string().max(60) });

async function answered(sku: string, asked: boolean): Promise<Response> {
  const behaviour = await orderStandIn(context(), sku, asked);
  if (behaviour.line === 'dead') return new Response('Bad Gateway', { status: 502 });
  await new Promise((resolve) => setTimeout(resolve, behaviour.waitMs));
  return new Response(JSON.stringify(behaviour.answer), { headers: { 'Content-Type': 'application/json' } });
}

/** The simulated supplier takes an order. */
export const POST: APIRoute = async ({ request }) => {
  const placed = placedSchema.safeParse(await request.json().catch(() => null));
  return placed.success ? answered(placed.data.sku, false) : new Response('Bad Request', { status: 400 });
};

/** The simulated supplier is asked how an order stands. */
export const GET: APIRoute = ({ url }) => answered((url.searchParams.get('sku') ?? '').slice(0, 60), true);
