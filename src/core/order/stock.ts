import { z } from 'zod';
import { FAMILY_IDS, GAUGE_IDS } from '../families';
import type { ChainOrder } from './order';

/** Kinds of part a shop keeps. */
export const STOCK_KINDS = ['chain', 'bar', 'drive-sprocket', 'nose', 'file'] as const;

/** One line of stock. Money in the currency's smallest unit. */
export const stockPartSchema = z.strictObject({
  sku: z.string().min(1).max(60),
  kind: z.enum(STOCK_KINDS),
  name: z.string().min(1).max(160),
  pitch: z.enum(FAMILY_IDS).nullable(),
  gauge: z.enum(GAUGE_IDS).nullable(),
  driveLinks: z.int().min(1).max(400).nullable(),
  kickbackClass: z.enum(['low-kickback', 'standard']).nullable(),
  mount: z.string().max(40).nullable(),
  teeth: z.int().min(4).max(20).nullable(),
  quantity: z.int().min(0),
  minimum: z.int().min(0),
  priceCents: z.int().min(0),
});
export type StockPart = z.infer<typeof stockPartSchema>;

/** Why a chain in stock does not answer an order. */
export type StockMiss =
  | {
      readonly code: 'pitch' | 'gauge' | 'driveLinks';
      readonly wanted: string | number;
      readonly has: string | number | null;
    }
  | { readonly code: 'kickback-stepped-up' }
  | { readonly code: 'kickback-not-asked' }
  | { readonly code: 'out-of-stock' };

export interface StockMatch {
  readonly part: StockPart;
  readonly misses: readonly StockMiss[];
}

/** What keeps one chain from answering the order; empty means it fits and is there. */
export function stockMisses(order: ChainOrder, part: StockPart): readonly StockMiss[] {
  const misses: StockMiss[] = [];
  for (const code of ['pitch', 'gauge', 'driveLinks'] as const) {
    if (part[code] !== order[code]) misses.push({ code, wanted: order[code], has: part[code] });
  }
  if (part.kickbackClass !== 'low-kickback') {
    if (order.kickbackClass === 'low-kickback') misses.push({ code: 'kickback-stepped-up' });
    else if (order.kickbackClass === null) misses.push({ code: 'kickback-not-asked' });
  }
  if (part.quantity === 0) misses.push({ code: 'out-of-stock' });
  return misses;
}

/** A chain this many links longer or shorter is worth naming; farther ones are simply other chains. */
const NEAR_LINKS = 2;

/** True for a miss that a person would want to hear of. */
function near(miss: StockMiss): boolean {
  return (
    miss.code !== 'driveLinks' || (miss.has !== null && Math.abs(Number(miss.has) - Number(miss.wanted)) <= NEAR_LINKS)
  );
}

/** Chains against an order: those that fit first, then those that narrowly miss in one thing. */
export function matchStock(order: ChainOrder, parts: readonly StockPart[]): readonly StockMatch[] {
  return parts
    .filter(({ kind }) => kind === 'chain')
    .map((part) => ({ part, misses: stockMisses(order, part) }))
    .filter(({ misses }) => misses.length === 0 || (misses.length === 1 && near(misses[0]!)))
    .sort(
      (a, b) =>
        a.misses.length - b.misses.length ||
        a.part.priceCents - b.part.priceCents ||
        a.part.sku.localeCompare(b.part.sku),
    );
}
