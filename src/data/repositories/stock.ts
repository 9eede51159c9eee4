import { and, asc, count, eq, sql } from 'drizzle-orm';
import type { StockPart } from '../../core/order';
import { stockPart } from '../schema';
import type { Queryable, Transaction } from '../store';

/** Which parts a list shows; what is not given does not narrow. */
export interface StockFilter {
  readonly kind?: StockPart['kind'] | undefined;
  readonly pitch?: StockPart['pitch'] | undefined;
  readonly gauge?: StockPart['gauge'] | undefined;
  readonly driveLinks?: number | undefined;
  readonly text?: string | undefined;
}

/** Words of a search as an FTS5 query: every word must begin a word of the text. */
export function ftsQuery(text: string): string | null {
  const words = text.match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length === 0 ? null : words.map((word) => `"${word}"*`).join(' ');
}

function condition({ kind, pitch, gauge, driveLinks, text }: StockFilter) {
  const query = text ? ftsQuery(text) : null;
  return and(
    kind ? eq(stockPart.kind, kind) : undefined,
    pitch ? eq(stockPart.pitch, pitch) : undefined,
    gauge ? eq(stockPart.gauge, gauge) : undefined,
    driveLinks ? eq(stockPart.driveLinks, driveLinks) : undefined,
    query ? sql`${stockPart.sku} IN (SELECT ref FROM search WHERE search MATCH ${query} AND kind = 'part')` : undefined,
  );
}

export async function listStock(
  db: Queryable,
  filter: StockFilter,
  page: { limit: number; offset: number },
): Promise<readonly StockPart[]> {
  return db
    .select()
    .from(stockPart)
    .where(condition(filter))
    .orderBy(
      asc(stockPart.kind),
      asc(stockPart.pitch),
      asc(stockPart.gauge),
      asc(stockPart.driveLinks),
      asc(stockPart.sku),
    )
    .limit(page.limit)
    .offset(page.offset);
}

export async function countStock(db: Queryable, filter: StockFilter): Promise<number> {
  const [row] = await db.select({ all: count() }).from(stockPart).where(condition(filter));
  return row?.all ?? 0;
}

/** Chains of a pitch and gauge: all that can come near an order. */
export async function chainsOf(
  db: Queryable,
  pitch: NonNullable<StockPart['pitch']>,
  gauge: NonNullable<StockPart['gauge']>,
): Promise<readonly StockPart[]> {
  return db
    .select()
    .from(stockPart)
    .where(and(eq(stockPart.kind, 'chain'), eq(stockPart.pitch, pitch), eq(stockPart.gauge, gauge)))
    .limit(500);
}

export async function addStock(tx: Transaction, parts: readonly StockPart[]): Promise<void> {
  if (parts.length > 0) await tx.insert(stockPart).values([...parts]);
}
