import { stockPartSchema, type StockPart } from '../../core/stock';
import {
  allStock,
  beginImport,
  findImport,
  importParts,
  importRows,
  markUndone,
  partsBySku,
  putPart,
  removePart,
} from '../../data/repositories';
import type { ChangePart, ImportBatch } from '../../contract';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { writeStockCsv } from '../stock-csv';

/** Takes one batch of a stock list in. Sending a batch twice does no harm. */
export async function takeInBatch(
  context: Context,
  importId: string,
  { by, name, parts, columns }: ImportBatch,
): Promise<{ taken: number }> {
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    const before = await findImport(tx, importId);
    if (before?.undoneAt) throw new Refusal(409, 'undone', 'This import was undone: begin a new one.');
    await beginImport(tx, { id: importId, name, at, by });
    await importParts(tx, importId, parts, columns);
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

/** Undoes an import: every part goes back to what it was, but what was changed since stays and is named. */
export async function undoImport(context: Context, importId: string, by: string): Promise<Undone> {
  return context.store.write(async (tx) => {
    const record = await findImport(tx, importId);
    if (!record) throw notFound('import');
    if (record.undoneAt) throw new Refusal(409, 'undone', `${record.undoneBy ?? 'Somebody'} has undone it already.`);
    const rows = await importRows(tx, importId);
    const now = new Map<string, StockPart>();
    for (let i = 0; i < rows.length; i += 400) {
      const some = rows.slice(i, i + 400).map(({ sku }) => sku);
      for (const part of await partsBySku(tx, some)) now.set(part.sku, part);
    }
    const kept: string[] = [];
    for (const { sku, before, after } of rows) {
      const current = now.get(sku);
      if (!current || !same(current, after)) kept.push(sku);
      else if (before) await putPart(tx, before);
      else await removePart(tx, sku);
    }
    await markUndone(tx, importId, context.now().toISOString(), by);
    return { restored: rows.length - kept.length, kept };
  });
}

/** Changes what is on the shelf, its minimum and its price. */
export async function changePart(context: Context, sku: string, change: ChangePart): Promise<StockPart> {
  return context.store.write(async (tx) => {
    const [part] = await partsBySku(tx, [sku]);
    if (!part) throw notFound('part');
    const next = { ...part, ...change };
    await putPart(tx, next);
    return next;
  });
}

/** The whole stock list as CSV. */
export async function stockAsCsv({ store }: Context): Promise<string> {
  return writeStockCsv(await allStock(store.db));
}
