import { UNNAMED } from '../../wording';
import { settings } from '../../data/settings';
import { setShopFact, shopStanding, type ShopStanding } from '../../data/repositories';
import type { z } from 'zod';
import {
  orderAnswerSchema,
  SUPPLIER_MOODS,
  supplierAnswerSchema,
  type OrderAnswer,
  type SupplierMood,
  type SupplierReply,
} from '../../contract';
import type { Context } from '../context';
import { simulatedOrder, type OrderBehaviour } from '../simulated/supplier-orders';
import { simulatedSupplier, type SupplierBehaviour } from '../simulated/supplier';
import * as texts from '#language/server';

/** The counter waits this long for a supplier, and then goes on without. */
const PATIENCE_MS = 4000;
/** Largest answer read, bytes: a supplier is not trusted to be brief. */
const MOST_BYTES = 200_000;

/** Mood of the simulated supplier, by the shop's facts. */
export const moodOf = ({ facts }: Pick<ShopStanding, 'facts'>): SupplierMood =>
  SUPPLIER_MOODS.find((mood) => mood === facts.supplier) ?? 'usual';

export const supplierMood = async ({ store }: Context): Promise<SupplierMood> => moodOf(await shopStanding(store.db));

export async function setSupplierMood(
  { store, now }: Context,
  { mood, by }: { readonly mood: SupplierMood; readonly by?: string | undefined },
): Promise<{ mood: SupplierMood }> {
  const written = { at: now().toISOString(), by: by ?? UNNAMED };
  await store.write((tx) => setShopFact(tx, 'supplier', mood, written));
  return { mood };
}

/** What the stand-in does with the question in an address. */
export async function supplierStandIn(context: Context, params: URLSearchParams): Promise<SupplierBehaviour> {
  return simulatedSupplier(await supplierMood(context), {
    pitch: params.get('pitch') ?? '',
    gauge: params.get('gauge') ?? '',
    links: Number(params.get('links')) || 0,
    standard: params.get('class') === 'standard',
  });
}

/** What came of asking the supplier: what it said, or why nothing was heard. */
export type Heard<T> = { readonly heard: true; readonly answer: T } | { readonly heard: false; readonly why: string };

/** An answer as text; null once it is longer than any that is read, and the rest of it is left. */
async function briefly({ body }: Response): Promise<string | null> {
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  for await (const chunk of (body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += chunk.length;
    if (bytes > MOST_BYTES) return null;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/** Asks over the line, and goes on without where it is silent, dead, or talks nonsense. */
export async function hearSupplier<T>(
  url: URL,
  schema: z.ZodType<T>,
  patienceMs: number = PATIENCE_MS,
  init: RequestInit = {},
): Promise<Heard<T>> {
  try {
    const response = await fetch(url, { ...init, signal: AbortSignal.timeout(patienceMs) });
    if (!response.ok) return { heard: false, why: texts.supplierIsDown(response.status) };
    const text = await briefly(response);
    const read = text === null ? null : schema.safeParse(JSON.parse(text));
    return read?.success ? { heard: true, answer: read.data } : { heard: false, why: texts.supplierNotUnderstood };
  } catch (error) {
    const late = error instanceof Error && error.name === 'TimeoutError';
    return {
      heard: false,
      why: late ? texts.supplierDidNotAnswer(patienceMs / 1000) : texts.supplierNotReached,
    };
  }
}

/**
 * Asks the supplier for price and delivery. Whatever happens on its side (silence, nonsense, a dead line) comes back as
 * a reply: it never blocks the counter.
 * @param address where the supplier answers
 */
export async function askSupplier(
  address: string,
  params: URLSearchParams,
  patienceMs = PATIENCE_MS,
): Promise<SupplierReply> {
  const url = new URL(address);
  for (const name of ['pitch', 'gauge', 'links', 'class']) url.searchParams.set(name, params.get(name) ?? '');
  const reply = await hearSupplier(url, supplierAnswerSchema, patienceMs);
  if (!reply.heard) return { state: 'no-answer', why: reply.why };
  const { offers } = reply.answer;
  return offers.length === 0 ? { state: 'none' } : { state: 'offers', offers };
}

/**
 * Places an order with the supplier, or asks about one that was placed.
 * @param address where the supplier answers; orders go to the address beside it
 */
export function askOrder(
  address: string,
  order: { readonly id: string; readonly sku: string },
  act: 'place' | 'ask',
): Promise<Heard<OrderAnswer>> {
  const url = new URL(`${address.replace(/\/$/, '')}/orders`);
  if (act === 'place')
    return hearSupplier(url, orderAnswerSchema, PATIENCE_MS, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ id: order.id, sku: order.sku }),
    });
  url.searchParams.set('id', order.id);
  url.searchParams.set('sku', order.sku);
  return hearSupplier(url, orderAnswerSchema);
}

/** What the stand-in does with an order. */
export const orderStandIn = async (context: Context, sku: string, asked: boolean): Promise<OrderBehaviour> =>
  simulatedOrder(await supplierMood(context), sku, asked);

/**
 * Where the supplier answers: as the shop's machine is set up, else the stand-in that ships with the application.
 * @param url any address of the application
 */
export const supplierAt = (url: URL): string => settings().SERRATA_SUPPLIER ?? new URL('/simulated/supplier', url).href;
