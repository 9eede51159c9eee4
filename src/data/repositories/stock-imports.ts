import { isDeepStrictEqual } from 'node:util';
import { and, asc, count, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { laidOver, STOCK_COLUMNS, stockPartSchema, type StockColumn, type StockPart } from '../../core/stock';
import { ofThisShop } from '../shops/in-shop';
import { stockImport, stockImportBatch, stockImportRow } from '../schema';
import type { Queryable, Transaction } from '../store';
import { everyFewRows } from '../turn';
import { addMovements, lastMovement, partOf, putPart, type ShelvedPart } from './stock';

/** One taking-in of a stock list. */
export interface StockImportRecord {
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly by: string;
  readonly undoneAt: string | null;
  readonly undoneBy: string | null;
}

/** What one row of an import did. */
export interface StockImportRowRecord {
  readonly sku: string;
  readonly before: StockPart | null;
  readonly after: StockPart;
  /** The newest movement of the shelf when it was brought; null in older imports. */
  readonly movedUpTo: number | null;
}

/** What was answered to a batch of an import; undefined where it was not taken in yet. */
export async function batchAnswer(db: Queryable, importId: string, batch: string): Promise<unknown> {
  const [row] = await db
    .select({ answer: stockImportBatch.answer })
    .from(stockImportBatch)
    .where(and(eq(stockImportBatch.importId, importId), eq(stockImportBatch.batch, batch)))
    .limit(1);
  return row?.answer;
}

export async function addBatch(tx: Transaction, importId: string, batch: string, answer: unknown): Promise<void> {
  await tx.insert(stockImportBatch).values({ importId, batch, answer });
}

export async function findImport(db: Queryable, id: string): Promise<StockImportRecord | null> {
  const [row] = await db.select().from(stockImport).where(eq(stockImport.id, id)).limit(1);
  return row ?? null;
}

/** Begins an import; a second batch of the same one finds it there. */
export async function beginImport(
  tx: Transaction,
  record: Pick<StockImportRecord, 'id' | 'name' | 'at' | 'by'>,
): Promise<void> {
  await tx.insert(stockImport).values(record).onConflictDoNothing();
}

/** A part that a list brings, and the part on the shelf that it is laid over. */
export interface BroughtPart {
  readonly listed: StockPart;
  readonly there: ShelvedPart | null;
}

/**
 * Takes parts in and keeps what stood before. A part that this import already brought keeps its first `before`; what
 * changes nothing is left alone.
 * @param columns those that the list has: of a part that is there, the others stay as they are
 */
export async function importParts(
  tx: Transaction,
  { id: importId, name, at, by }: Pick<StockImportRecord, 'id' | 'name' | 'at' | 'by'>,
  newId: () => string,
  brought: readonly BroughtPart[],
  columns: readonly StockColumn[] = STOCK_COLUMNS,
): Promise<void> {
  const taken = brought.map(({ listed, there: shelved }) => {
    const there = shelved && partOf(shelved);
    return { there, part: there ? laidOver(there, listed, columns) : listed };
  });
  const moved = taken
    .map(({ there, part }) => ({ part, change: part.quantity - (there?.quantity ?? 0) }))
    .filter(({ change }) => change !== 0);
  await addMovements(
    tx,
    moved.map(({ part: { sku, quantity }, change }) => {
      return { id: newId(), sku, kind: 'list' as const, change, left: quantity, note: name, at, by };
    }),
  );
  // Its own movements are not what happened since.
  const movedUpTo = await lastMovement(tx);
  const others = everyFewRows();
  for (const { there, part } of taken) {
    await others();
    await tx
      .insert(stockImportRow)
      .values({ importId, sku: part.sku, before: there, after: part, movedUpTo })
      .onConflictDoUpdate({ target: [stockImportRow.importId, stockImportRow.sku], set: { after: part, movedUpTo } });
    if (!there || !isDeepStrictEqual(there, part)) await putPart(tx, part);
  }
}

/** Rows of an import that were not undone yet, a few at a time. */
export async function rowsToUndo(
  db: Queryable,
  importId: string,
  limit: number,
): Promise<readonly StockImportRowRecord[]> {
  const rows = await db
    .select()
    .from(stockImportRow)
    .where(and(eq(stockImportRow.importId, importId), isNull(stockImportRow.undone)))
    .orderBy(asc(stockImportRow.sku))
    .limit(limit);
  return rows.map(({ sku, before, after, movedUpTo }) => ({
    sku,
    movedUpTo,
    before: before === null ? null : stockPartSchema.parse(before),
    after: stockPartSchema.parse(after),
  }));
}

/** Writes down what undoing did with some rows. */
export async function markRows(
  tx: Transaction,
  importId: string,
  skus: readonly string[],
  undone: 'restored' | 'kept',
): Promise<void> {
  if (skus.length === 0) return;
  await tx
    .update(stockImportRow)
    .set({ undone })
    .where(and(eq(stockImportRow.importId, importId), inArray(stockImportRow.sku, [...skus])));
}

/** What undoing did with an import: how many parts are as before, and which somebody had changed since. */
export async function undoneRows(
  db: Queryable,
  importId: string,
): Promise<{ readonly restored: number; readonly kept: readonly string[] }> {
  const of = (undone: 'restored' | 'kept') =>
    and(eq(stockImportRow.importId, importId), eq(stockImportRow.undone, undone));
  const [row] = await db.select({ all: count() }).from(stockImportRow).where(of('restored'));
  const kept = await db
    .select({ sku: stockImportRow.sku })
    .from(stockImportRow)
    .where(of('kept'))
    .orderBy(asc(stockImportRow.sku));
  return { restored: row?.all ?? 0, kept: kept.map(({ sku }) => sku) };
}

/** Begins an undoing: nothing more is taken in under this import. */
export async function beginUndo(tx: Transaction, id: string, by: string): Promise<void> {
  await tx
    .update(stockImport)
    .set({ undoneBy: sql`coalesce(${stockImport.undoneBy}, ${by})` })
    .where(and(eq(stockImport.id, id), ofThisShop(stockImport)));
}

export async function markUndone(tx: Transaction, id: string, at: string): Promise<void> {
  await tx
    .update(stockImport)
    .set({ undoneAt: at })
    .where(and(eq(stockImport.id, id), ofThisShop(stockImport)));
}

/** The latest imports with how many parts each brought. */
export async function listImports(
  db: Queryable,
  limit: number,
): Promise<readonly (StockImportRecord & { readonly parts: number })[]> {
  const imports = await db
    .select()
    .from(stockImport)
    .orderBy(desc(sql`rowid`))
    .limit(limit);
  return Promise.all(
    imports.map(async (record) => {
      const [row] = await db
        .select({ all: count() })
        .from(stockImportRow)
        .where(and(eq(stockImportRow.importId, record.id)));
      return { ...record, parts: row?.all ?? 0 };
    }),
  );
}
