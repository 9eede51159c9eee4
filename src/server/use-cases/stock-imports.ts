import { stockPartSchema, type StockPart } from '../../core/stock';
import {
  addMovements,
  allStock,
  beginImport,
  beginUndo,
  findImport,
  importParts,
  markRow,
  markUndone,
  partOf,
  partsBySku,
  putPart,
  removePart,
  rowsToUndo,
  undoneRows,
  type StockImportRecord,
  type StockImportRowRecord,
} from '../../data/repositories';
import type { Transaction } from '../../data/store';
import { everyFewRows, letOthers } from '../../data/turn';
import type { ImportBatch } from '../../contract';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { writeStockCsv } from '../stock-csv';
import * as texts from '#language/server';

/** Takes one batch of a stock list in. Sending a batch twice does no harm. */
export async function takeInBatch(
  context: Context,
  importId: string,
  { by, name, parts, columns }: ImportBatch,
): Promise<{ taken: number }> {
  const record = { id: importId, name, at: context.now().toISOString(), by };
  await context.store.write(async (tx) => {
    const before = await findImport(tx, importId);
    if (before?.undoneBy) throw new Refusal(409, 'undone', texts.importWasUndone);
    await beginImport(tx, record);
    await importParts(tx, record, context.newId, parts, columns);
  });
  return { taken: parts.length };
}

const same = (a: StockPart, b: StockPart): boolean =>
  JSON.stringify(stockPartSchema.parse(a)) === JSON.stringify(stockPartSchema.parse(b));

/** What an undoing did. */
export interface Undone {
  readonly restored: number;
  /** Parts that somebody changed since: they stay as they are now. */
  readonly kept: readonly string[];
}

/** Rows undone in one go: everybody else is answered between two goes. */
const AT_ONCE = 60;

/**
 * Undoes an import: every part goes back to what it was, but what was changed since stays and is named. It is done a
 * few rows at a time; broken off in the middle it is gone on with when it is asked for again.
 */
export async function undoImport(context: Context, importId: string, by: string): Promise<Undone> {
  const { store } = context;
  const record = await findImport(store.db, importId);
  if (!record) throw notFound('import');
  if (record.undoneAt) throw undoneAlready(record);
  await store.write((tx) => beginUndo(tx, importId, by));
  for (;;) {
    const left = await store.write(async (tx) => {
      const rows = await rowsToUndo(tx, importId, AT_ONCE);
      await undoRows(tx, context, record, rows, by);
      return rows.length;
    });
    if (left < AT_ONCE) break;
    await letOthers();
  }
  await store.write((tx) => markUndone(tx, importId, context.now().toISOString()));
  return undoneRows(store.db, importId);
}

const undoneAlready = ({ undoneBy }: StockImportRecord): Refusal =>
  new Refusal(409, 'undone', texts.undoneAlready(undoneBy ?? 'Somebody'));

async function undoRows(
  tx: Transaction,
  context: Context,
  { id, name }: StockImportRecord,
  rows: readonly StockImportRowRecord[],
  by: string,
): Promise<void> {
  const skus = rows.map(({ sku }) => sku);
  const now = new Map((await partsBySku(tx, skus)).map((part) => [part.sku, partOf(part)]));
  const at = context.now().toISOString();
  const back: StockImportRowRecord[] = [];
  const others = everyFewRows();
  for (const row of rows) {
    await others();
    const { sku, before, after } = row;
    const current = now.get(sku);
    const isAsBrought = current !== undefined && same(current, after);
    if (isAsBrought && before) await putPart(tx, before);
    if (isAsBrought && !before) await removePart(tx, sku);
    await markRow(tx, id, sku, isAsBrought ? 'restored' : 'kept');
    if (isAsBrought) back.push(row);
  }
  await addMovements(
    tx,
    back
      .map(({ sku, before, after }) => ({
        sku,
        change: (before?.quantity ?? 0) - after.quantity,
        left: before?.quantity ?? 0,
      }))
      .filter(({ change }) => change !== 0)
      .map((moved) => ({ ...moved, id: context.newId(), kind: 'list-undone' as const, note: name, at, by })),
  );
}

/** The whole stock list as CSV. */
export async function stockAsCsv({ store }: Context): Promise<string> {
  return writeStockCsv(await allStock(store.db));
}
