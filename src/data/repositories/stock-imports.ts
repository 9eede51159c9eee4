import { and, count, desc, eq } from 'drizzle-orm';
import { laidOver, STOCK_COLUMNS, stockPartSchema, type StockColumn, type StockPart } from '../../core/stock';
import { stockImport, stockImportRow } from '../schema';
import type { Queryable, Transaction } from '../store';
import { partsBySku, putPart } from './stock';

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

/**
 * Takes parts in and keeps what stood before. A part that this import already brought keeps its first `before`.
 * @param columns those that the list has: of a part that is there, the others stay as they are
 */
export async function importParts(
  tx: Transaction,
  importId: string,
  parts: readonly StockPart[],
  columns: readonly StockColumn[] = STOCK_COLUMNS,
): Promise<void> {
  const before = new Map(
    (
      await partsBySku(
        tx,
        parts.map(({ sku }) => sku),
      )
    ).map((part) => [part.sku, part]),
  );
  for (const listed of parts) {
    const there = before.get(listed.sku);
    const part = there ? laidOver(there, listed, columns) : listed;
    await tx
      .insert(stockImportRow)
      .values({ importId, sku: part.sku, before: there ?? null, after: part })
      .onConflictDoUpdate({ target: [stockImportRow.importId, stockImportRow.sku], set: { after: part } });
    await putPart(tx, part);
  }
}

export async function importRows(db: Queryable, importId: string): Promise<readonly StockImportRowRecord[]> {
  const rows = await db.select().from(stockImportRow).where(eq(stockImportRow.importId, importId));
  return rows.map(({ sku, before, after }) => ({
    sku,
    before: before === null ? null : stockPartSchema.parse(before),
    after: stockPartSchema.parse(after),
  }));
}

export async function markUndone(tx: Transaction, id: string, at: string, by: string): Promise<void> {
  await tx.update(stockImport).set({ undoneAt: at, undoneBy: by }).where(eq(stockImport.id, id));
}

/** The latest imports with how many parts each brought. */
export async function listImports(
  db: Queryable,
  limit: number,
): Promise<readonly (StockImportRecord & { readonly parts: number })[]> {
  const imports = await db.select().from(stockImport).orderBy(desc(stockImport.at)).limit(limit);
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
