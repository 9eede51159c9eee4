import { createHash } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { undonePart, type MovedSince, type StockPart } from '../../core/stock';
import {
  addBatch,
  addMovements,
  allStock,
  batchAnswer,
  beginImport,
  beginUndo,
  findImport,
  importParts,
  markRows,
  markUndone,
  movementsSince,
  partOf,
  partsBySku,
  putPart,
  removeParts,
  rowsToUndo,
  undoneRows,
  type StockImportRecord,
  type StockImportRowRecord,
} from '../../data/repositories';
import type { Transaction } from '../../data/store';
import { everyFewRows, letOthers } from '../../data/turn';
import type { BatchTaken, ImportBatch } from '../../contract';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import { writeStockCsv } from '../stock-csv';
import * as texts from '#language/server';

/** Names what a batch holds, and what it was laid beside. */
const batchName = ({ parts, columns, was }: ImportBatch): string =>
  createHash('sha256')
    .update(JSON.stringify([parts, columns, was]))
    .digest('base64url');

/**
 * Takes one batch of a stock list in. Parts that moved since the list was laid beside them stand as they are, and are
 * told. Sent again, the same batch does nothing, and is answered as it was.
 */
export async function takeInBatch(context: Context, importId: string, sent: ImportBatch): Promise<BatchTaken> {
  const { by, name, parts, columns, was } = sent;
  const record = { id: importId, name, at: context.now().toISOString(), by };
  const batch = batchName(sent);
  return context.store.write(async (tx) => {
    const before = await findImport(tx, importId);
    if (before?.undoneBy) throw new Refusal(409, 'undone', texts.importWasUndone);
    const answered = await batchAnswer(tx, importId, batch);
    if (answered) return answered as BatchTaken;
    await beginImport(tx, record);
    const shelf = await partsBySku(
      tx,
      parts.map(({ sku }) => sku),
    );
    await letOthers();
    const beside = parts.map((listed, i) => ({
      listed,
      there: shelf.find(({ sku }) => sku === listed.sku) ?? null,
      was: was?.[i],
    }));
    const isAsSeen = ({ there, was: seen }: (typeof beside)[number]) =>
      seen === undefined || (there?.version ?? null) === seen;
    await importParts(tx, record, context.newId, beside.filter(isAsSeen), columns);
    const moved = beside
      .filter((each) => !isAsSeen(each))
      .map(({ listed, there }) => ({ sku: listed.sku, quantity: there?.quantity ?? null }));
    const answer = { taken: parts.length - moved.length, moved };
    await addBatch(tx, importId, batch, answer);
    return answer;
  });
}

/** What an undoing did. */
export interface Undone {
  readonly restored: number;
  /** Parts of which not all went back: somebody counted or wrote since, and theirs stays. */
  readonly kept: readonly string[];
}

/** Rows undone in one go: everybody else is answered between two goes. */
const AT_ONCE = 60;

/**
 * Undoes an import: what it changed of every part goes back to what it was, and what happened since stays: pieces taken
 * or booked in, and what somebody wrote, which is named. It is done a few rows at a time; broken off in the middle it is
 * gone on with when it is asked for again.
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

/** Of a list that an older version took in nobody knows what moved since: pieces that differ by now count as counted. */
const sinceUnknown = (now: StockPart, after: StockPart): readonly MovedSince[] =>
  now.quantity === after.quantity ? [] : [{ kind: 'counted', change: now.quantity - after.quantity }];

async function undoRows(
  tx: Transaction,
  context: Context,
  { id, name }: StockImportRecord,
  rows: readonly StockImportRowRecord[],
  by: string,
): Promise<void> {
  if (rows.length === 0) return;
  const skus = rows.map(({ sku }) => sku);
  const shelf = new Map((await partsBySku(tx, skus)).map((part) => [part.sku, partOf(part)]));
  const movements = await movementsSince(tx, skus, Math.min(...rows.map(({ movedUpTo }) => movedUpTo ?? 0)));
  const at = context.now().toISOString();
  const moved: Parameters<typeof addMovements>[1][number][] = [];
  const restored: string[] = [];
  const kept: string[] = [];
  const gone: string[] = [];
  const others = everyFewRows();
  for (const { sku, before, after, movedUpTo } of rows) {
    await others();
    const now = shelf.get(sku);
    const since = movements.filter((each) => each.sku === sku && each.seq > (movedUpTo ?? 0));
    const undone =
      now && undonePart({ before, after, now, since: movedUpTo === null ? sinceUnknown(now, after) : since });
    (undone?.isWhole ? restored : kept).push(sku);
    if (!now || !undone) continue;
    if (undone.part === null) gone.push(sku);
    else if (!isDeepStrictEqual(undone.part, now)) await putPart(tx, undone.part);
    const left = undone.part?.quantity ?? 0;
    const change = left - now.quantity;
    if (change !== 0) moved.push({ id: context.newId(), sku, kind: 'list-undone', change, left, note: name, at, by });
  }
  await markRows(tx, id, restored, 'restored');
  await markRows(tx, id, kept, 'kept');
  await removeParts(tx, gone);
  await addMovements(tx, moved);
}

/** The whole stock list as CSV. */
export async function stockAsCsv({ store }: Context): Promise<string> {
  return writeStockCsv(await allStock(store.db));
}
