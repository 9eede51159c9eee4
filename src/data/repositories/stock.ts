import {
  and,
  asc,
  count,
  desc,
  eq,
  getTableColumns,
  gt,
  inArray,
  isNull,
  lt,
  max,
  or,
  sql,
  type SQL,
} from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { SMALL_PARTS, type StockPart } from '../../core/stock';
import { append } from '../chain/append';
import { ofThisShop } from '../shops/in-shop';
import { stockMovement, stockPart } from '../schema';
import type { Queryable, Transaction } from '../store';
import { letOthers } from '../turn';

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

/** A part as it stands on the shelf, with how often it was changed: an edit names what it was based on. */
export type ShelvedPart = StockPart & { readonly version: number };

/** What a part is, without how often it was changed. */
const { version: _version, shopId: _shopId, ...aboutPart } = getTableColumns(stockPart);
const shelved = { ...aboutPart, version: stockPart.version };

/** The words of a search: letters with their marks and figures, nothing that means something to FTS5. */
export const wordsOf = (text: string): readonly string[] => text.normalize('NFC').match(/[\p{L}\p{M}\p{N}]+/gu) ?? [];

/** Words of a search as an FTS5 query: every word must begin a word of the text. */
export function ftsQuery(text: string): string | null {
  const words = wordsOf(text);
  return words.length === 0 ? null : words.map((word) => `"${word}"*`).join(' ');
}

/** What is found is seen from this shop: the index knows of all of them. */
export const IS_SEEN = sql`EXISTS (SELECT 1 FROM search_row WHERE search_row.id = search.rowid)`;

/**
 * Parts that a search finds: rows beside the index say what they are of, which its own text is dear to ask. All parts are
 * held against them (the `+` before what is compared): thousands that are found would be looked up one by one.
 */
const partsFound = (query: string): SQL =>
  sql`search JOIN search_row ON search_row.id = search.rowid AND search_row.kind = 'part' WHERE search MATCH ${query}`;

function condition({ kind, pitch, gauge, driveLinks, text, low }: StockFilter) {
  const query = text ? ftsQuery(text) : null;
  return and(
    kind ? eq(stockPart.kind, kind) : undefined,
    pitch ? eq(stockPart.pitch, pitch) : undefined,
    gauge ? eq(stockPart.gauge, gauge) : undefined,
    driveLinks ? eq(stockPart.driveLinks, driveLinks) : undefined,
    low ? lt(stockPart.quantity, stockPart.minimum) : undefined,
    query ? sql`+${stockPart.sku} IN (SELECT search_row.ref FROM ${partsFound(query)})` : undefined,
  );
}

/** The order of the list, as an index has it. */
const IN_ORDER = [
  asc(stockPart.kind),
  asc(stockPart.pitch),
  asc(stockPart.gauge),
  asc(stockPart.driveLinks),
  asc(stockPart.sku),
];

/** A page of the list. Which parts it shows is looked up in the index alone: whole parts are read for the page only. */
export async function listStock(
  db: Queryable,
  filter: StockFilter,
  page: { limit: number; offset: number },
): Promise<readonly ShelvedPart[]> {
  const shown = db
    .select({ sku: stockPart.sku })
    .from(stockPart)
    .where(condition(filter))
    .orderBy(...IN_ORDER)
    .limit(page.limit)
    .offset(page.offset);
  return db
    .select(shelved)
    .from(stockPart)
    .where(inArray(stockPart.sku, shown))
    .orderBy(...IN_ORDER);
}

export async function countStock(db: Queryable, filter: StockFilter): Promise<number> {
  const { text, ...others } = filter;
  const query = text ? ftsQuery(text) : null;
  // What the search finds needs to be held against no part where nothing else is asked for.
  const [row] =
    query && Object.values(others).every((asked) => !asked)
      ? await db.all<{ all: number }>(sql`SELECT count(*) AS "all" FROM ${partsFound(query)}`)
      : await db.select({ all: count() }).from(stockPart).where(condition(filter));
  return row?.all ?? 0;
}

/** Most parts that one search weighs of those that agree in everything, and of those that differ in one thing. */
const MOST_AGREEING = 40;
const MOST_DIFFERING = 12;
/** A loop this many links longer or shorter is still worth naming. */
const NEAR_LINKS = 2;

/** What a search by the core can come near: parts of a kind by the numbers asked for. */
export interface CandidateFilter {
  readonly kind: StockPart['kind'];
  readonly pitches: readonly NonNullable<StockPart['pitch']>[];
  readonly gauges: readonly NonNullable<StockPart['gauge']>[];
  readonly links: readonly number[];
  readonly mount: string | null;
  readonly sequence: StockPart['sequence'];
  readonly sprocketKind: StockPart['sprocketKind'];
}

/** One thing asked for, and what comes near it where it differs. */
interface Asked {
  readonly agrees: SQL;
  readonly near: SQL | undefined;
}

/** Of a list that says nothing of a property nobody knows that it differs. */
const sayingNothingOr = (column: SQLiteColumn, wanted: string): SQL => or(eq(column, wanted), isNull(column))!;

function askedFor({ pitches, gauges, links, mount, sequence }: CandidateFilter): readonly Asked[] {
  const around = links.flatMap((count) => Array.from({ length: 2 * NEAR_LINKS + 1 }, (_, i) => count - NEAR_LINKS + i));
  return [
    ...(pitches.length > 0 ? [{ agrees: inArray(stockPart.pitch, [...pitches]), near: undefined }] : []),
    ...(gauges.length > 0 ? [{ agrees: inArray(stockPart.gauge, [...gauges]), near: undefined }] : []),
    ...(links.length > 0
      ? [{ agrees: inArray(stockPart.driveLinks, [...links]), near: inArray(stockPart.driveLinks, around) }]
      : []),
    ...(sequence ? [{ agrees: sayingNothingOr(stockPart.sequence, sequence), near: undefined }] : []),
    ...(mount ? [{ agrees: sql`upper(${stockPart.mount}) = upper(${mount})`, near: undefined }] : []),
  ];
}

/**
 * Parts that may answer a need or narrowly miss it: those that agree in all that is asked, and for each thing asked
 * those that agree in all the others. Every query runs along an index.
 */
export async function stockCandidates(db: Queryable, filter: CandidateFilter): Promise<readonly StockPart[]> {
  const asked = askedFor(filter);
  if (asked.length === 0 && !SMALL_PARTS.some((part) => part === filter.kind)) return [];
  // A rim never stands in for a spur: the other kind is not looked at.
  const ofKind = and(
    eq(stockPart.kind, filter.kind),
    filter.sprocketKind ? sayingNothingOr(stockPart.sprocketKind, filter.sprocketKind) : undefined,
  );
  const find = (condition: SQL | undefined, limit: number) =>
    db
      .select(aboutPart)
      .from(stockPart)
      .where(condition)
      .orderBy(sql`${stockPart.quantity} = 0`, asc(stockPart.priceCents))
      .limit(limit);
  const agreeing = find(and(ofKind, ...asked.map(({ agrees }) => agrees)), MOST_AGREEING);
  const differing =
    asked.length <= 1
      ? []
      : asked.map((left, i) =>
          find(
            and(ofKind, left.near, ...asked.filter((_, other) => other !== i).map(({ agrees }) => agrees)),
            MOST_DIFFERING,
          ),
        );
  const found = (await Promise.all([agreeing, ...differing])).flat();
  return [...new Map(found.map((part) => [part.sku, part])).values()];
}

/** Every part of the shelf as it stands, in one text: another once any of it moves, goes or comes. */
export async function shelfText(db: Queryable): Promise<string> {
  const { sku, version, priceCents, quantity, name } = stockPart;
  const about = [sku, version, priceCents, quantity, name].map((column) => sql`${column}`);
  const part = sql.join([sql`${stockPart}.rowid`, ...about], sql` || ' ' || `);
  const [row] = await db.select({ text: sql<string>`coalesce(group_concat(${part}, char(10)), '')` }).from(stockPart);
  return row!.text;
}

/** All stock in the order of the list, for export. */
export async function allStock(db: Queryable): Promise<readonly StockPart[]> {
  return db.select(aboutPart).from(stockPart).orderBy(asc(stockPart.kind), asc(stockPart.sku));
}

/** Mounts that bars of the list have, each once. */
export async function mountsOfBars(db: Queryable): Promise<readonly string[]> {
  const rows = await db.selectDistinct({ mount: stockPart.mount }).from(stockPart).where(eq(stockPart.kind, 'bar'));
  return rows.flatMap(({ mount }) => mount ?? []);
}

export async function barsOfMounts(db: Queryable, mounts: readonly string[]): Promise<readonly StockPart[]> {
  if (mounts.length === 0) return [];
  return db
    .select(aboutPart)
    .from(stockPart)
    .where(and(eq(stockPart.kind, 'bar'), inArray(stockPart.mount, [...mounts])));
}

/** Numbers of a chain, as the list has them. */
type ChainOnList = Readonly<Record<'pitch' | 'gauge', string> & Record<'driveLinks', number>>;

/** Chains of some numbers, looked up along the index of numbers. */
export async function chainsOfNumbers(db: Queryable, numbers: readonly ChainOnList[]): Promise<readonly StockPart[]> {
  if (numbers.length === 0) return [];
  const { kind, pitch, gauge, driveLinks } = stockPart;
  const asked = JSON.stringify(numbers.map((each) => [each.pitch, each.gauge, each.driveLinks]));
  return db
    .select(aboutPart)
    .from(stockPart)
    .where(
      and(
        eq(kind, 'chain'),
        sql`(${pitch}, ${gauge}, ${driveLinks}) IN (
          SELECT json_extract(value, '$[0]'), json_extract(value, '$[1]'), json_extract(value, '$[2]') FROM json_each(${asked}))`,
      ),
    );
}

/** Sprockets and noses of some pitches, and all small parts of the drive. */
export async function smallerParts(
  db: Queryable,
  pitches: readonly NonNullable<StockPart['pitch']>[],
): Promise<readonly StockPart[]> {
  const ofPitch = and(inArray(stockPart.kind, ['drive-sprocket', 'nose']), inArray(stockPart.pitch, [...pitches]));
  return db
    .select(aboutPart)
    .from(stockPart)
    .where(or(ofPitch, inArray(stockPart.kind, [...SMALL_PARTS])));
}

/** Parts by their numbers. */
export async function partsBySku(db: Queryable, skus: readonly string[]): Promise<readonly ShelvedPart[]> {
  return skus.length === 0
    ? []
    : db
        .select(shelved)
        .from(stockPart)
        .where(inArray(stockPart.sku, [...skus]));
}

/** What of a row is the part itself. */
export function partOf({ version: _version, ...part }: ShelvedPart): StockPart {
  return part;
}

/** Adds a part or puts it in the place of the one with its number, which counts as a change of it. */
export async function putPart(tx: Transaction, part: StockPart): Promise<void> {
  await tx
    .insert(stockPart)
    .values(part)
    .onConflictDoUpdate({
      target: [stockPart.sku, stockPart.shopId],
      set: { ...part, version: sql`${stockPart.version} + 1` },
    });
}

/** What a movement is, without its number and whose it is. */
const { seq: _seq, shopId: _ofShop, ...aboutMovement } = getTableColumns(stockMovement);

/** Movements that are written before others are let in. */
const MOVEMENTS_AT_ONCE = 40;

/** One change of what is on the shelf. */
export type StockMovementRecord = Omit<typeof stockMovement.$inferSelect, 'seq' | 'shopId'>;
type NewMovement = Omit<StockMovementRecord, 'jobId'> & { readonly jobId?: string | null };

export async function addMovements(tx: Transaction, movements: readonly NewMovement[]): Promise<void> {
  for (let i = 0; i < movements.length; i += MOVEMENTS_AT_ONCE) {
    if (i > 0) await letOthers();
    await append(tx, stockMovement, movements.slice(i, i + MOVEMENTS_AT_ONCE));
  }
}

export async function findMovement(db: Queryable, id: string): Promise<StockMovementRecord | null> {
  const [row] = await db.select(aboutMovement).from(stockMovement).where(eq(stockMovement.id, id)).limit(1);
  return row ?? null;
}

/** The latest movements of a part, newest first. */
export async function movementsOf(db: Queryable, sku: string, limit: number): Promise<readonly StockMovementRecord[]> {
  return db
    .select(aboutMovement)
    .from(stockMovement)
    .where(eq(stockMovement.sku, sku))
    .orderBy(desc(stockMovement.seq))
    .limit(limit);
}

/** Movements for a job, oldest first. */
export async function movementsFor(db: Queryable, jobId: string): Promise<readonly StockMovementRecord[]> {
  return db
    .select(aboutMovement)
    .from(stockMovement)
    .where(eq(stockMovement.jobId, jobId))
    .orderBy(asc(stockMovement.seq));
}

/** Number of the newest movement of the shelf, 0 before the first. */
export async function lastMovement(db: Queryable): Promise<number> {
  const [row] = await db.select({ last: max(stockMovement.seq) }).from(stockMovement);
  return row?.last ?? 0;
}

/** Movements of some parts after one, oldest first. */
export async function movementsSince(
  db: Queryable,
  skus: readonly string[],
  after: number,
): Promise<readonly (StockMovementRecord & { readonly seq: number })[]> {
  return db
    .select({ seq: stockMovement.seq, ...aboutMovement })
    .from(stockMovement)
    .where(and(inArray(stockMovement.sku, [...skus]), gt(stockMovement.seq, after)))
    .orderBy(asc(stockMovement.seq));
}

export async function removeParts(tx: Transaction, skus: readonly string[]): Promise<void> {
  if (skus.length === 0) return;
  await tx.delete(stockPart).where(and(inArray(stockPart.sku, [...skus]), ofThisShop(stockPart)));
}

export async function addStock(tx: Transaction, parts: readonly StockPart[]): Promise<void> {
  if (parts.length > 0) await tx.insert(stockPart).values([...parts]);
}
