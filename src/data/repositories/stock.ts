import { and, asc, count, eq, inArray, lt, or, sql } from 'drizzle-orm';
import type { StockPart } from '../../core/fit';
import { stockPart } from '../schema';
import type { Queryable, Transaction } from '../store';

/** Which parts a list shows; what is not given does not narrow. */
export interface StockFilter {
  readonly kind?: StockPart['kind'] | undefined;
  readonly pitch?: StockPart['pitch'] | undefined;
  readonly gauge?: StockPart['gauge'] | undefined;
  readonly driveLinks?: number | undefined;
  readonly text?: string | undefined;
  /** Only parts below their minimum. */
  readonly low?: boolean | undefined;
}

/** Words of a search as an FTS5 query: every word must begin a word of the text. */
export function ftsQuery(text: string): string | null {
  const words = text.match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length === 0 ? null : words.map((word) => `"${word}"*`).join(' ');
}

function condition({ kind, pitch, gauge, driveLinks, text, low }: StockFilter) {
  const query = text ? ftsQuery(text) : null;
  return and(
    kind ? eq(stockPart.kind, kind) : undefined,
    pitch ? eq(stockPart.pitch, pitch) : undefined,
    gauge ? eq(stockPart.gauge, gauge) : undefined,
    driveLinks ? eq(stockPart.driveLinks, driveLinks) : undefined,
    low ? lt(stockPart.quantity, stockPart.minimum) : undefined,
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

/** Most parts that one search weighs: a shelf with more of one pitch and gauge is searched by more numbers. */
const MOST_CANDIDATES = 2000;

/** What a search by the core can come near: parts of a kind that agree with at least one of the numbers asked for. */
export interface CandidateFilter {
  readonly kind: StockPart['kind'];
  readonly pitches: readonly NonNullable<StockPart['pitch']>[];
  readonly gauges: readonly NonNullable<StockPart['gauge']>[];
  readonly links: readonly number[];
  readonly mount: string | null;
}

/** Parts that may answer a need or narrowly miss it: all but one of its numbers agree. Those that agree in most come first. */
export async function stockCandidates(
  db: Queryable,
  { kind, pitches, gauges, links, mount }: CandidateFilter,
): Promise<readonly StockPart[]> {
  const asked = [
    pitches.length > 0 ? inArray(stockPart.pitch, [...pitches]) : undefined,
    gauges.length > 0 ? inArray(stockPart.gauge, [...gauges]) : undefined,
    links.length > 0 ? inArray(stockPart.driveLinks, [...links]) : undefined,
    mount ? sql`upper(${stockPart.mount}) = upper(${mount})` : undefined,
  ].filter((each) => each !== undefined);
  if (asked.length === 0) return [];
  const pairs = asked.flatMap((one, i) => asked.slice(i + 1).map((other) => and(one, other)));
  const narrowed = asked.length > 2 ? or(...pairs) : or(...asked);
  const agreeing = sql.join(
    asked.map((one) => sql`coalesce(${one}, 0)`),
    sql` + `,
  );
  return db
    .select()
    .from(stockPart)
    .where(and(eq(stockPart.kind, kind), narrowed))
    .orderBy(sql`${agreeing} DESC`, asc(stockPart.sku))
    .limit(MOST_CANDIDATES);
}

/** All stock in the order of the list, for export. */
export async function allStock(db: Queryable): Promise<readonly StockPart[]> {
  return db.select().from(stockPart).orderBy(asc(stockPart.kind), asc(stockPart.sku));
}

/** Parts by their numbers. */
export async function partsBySku(db: Queryable, skus: readonly string[]): Promise<readonly StockPart[]> {
  return skus.length === 0
    ? []
    : db
        .select()
        .from(stockPart)
        .where(inArray(stockPart.sku, [...skus]));
}

/** Adds a part or puts it in the place of the one with its number. */
export async function putPart(tx: Transaction, part: StockPart): Promise<void> {
  await tx.insert(stockPart).values(part).onConflictDoUpdate({ target: stockPart.sku, set: part });
}

export async function removePart(tx: Transaction, sku: string): Promise<void> {
  await tx.delete(stockPart).where(eq(stockPart.sku, sku));
}

export async function addStock(tx: Transaction, parts: readonly StockPart[]): Promise<void> {
  if (parts.length > 0) await tx.insert(stockPart).values([...parts]);
}
