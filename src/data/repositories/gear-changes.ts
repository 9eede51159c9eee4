import { and, asc, desc, eq, getTableColumns, inArray, isNull, or, sql } from 'drizzle-orm';
import { lookKey, type GearChange, type Move, type Said } from '../../core/life';
import type { Part } from '../../core/reading';
import { append } from '../chain/append';
import { ofThisShop, seenHere } from '../shops/in-shop';
import { OF_ALL_SHOPS } from '../shops/names';
import { customer, gearChange, job, saw, sawMemory } from '../schema';
import type { Queryable, Transaction } from '../store';
import { letOthers } from '../turn';
import { ftsQuery, IS_SEEN } from './stock';

/** What may be said of a saw itself. */
export interface SawFacts {
  readonly label: string;
  readonly tag: string;
  readonly mount: string | null;
  readonly maxRpm: number | null;
  /** Whether it is offered no more. */
  readonly retired: boolean;
}

/** What may be said of a customer. */
export interface CustomerFacts {
  readonly name: string;
  readonly contact: string;
  readonly retired: boolean;
}

/** Something said, as it is stored. */
export interface GearChangeRecord {
  readonly id: string;
  readonly what: GearChange;
  readonly customerId: string | null;
  readonly sawId: string | null;
  readonly otherSawId: string | null;
  readonly piece: string | null;
  readonly said: unknown;
  readonly before: unknown;
  readonly undoes: string | null;
  readonly at: string;
  readonly by: string;
}

/** Something said, and who undid it. */
export interface SaidRecord extends GearChangeRecord {
  /** The order in which things were said. */
  readonly seq: number;
  readonly undone: { readonly at: string; readonly by: string } | null;
}

const undoneBy = (column: 'at' | 'by') =>
  sql<
    string | null
  >`(SELECT undoing.${sql.raw(`"${column}"`)} FROM gear_change AS undoing WHERE undoing.undoes = ${gearChange}.id)`;

const { shopId: _shopId, ...aboutChange } = getTableColumns(gearChange);

const selectSaid = (db: Queryable) =>
  db
    .select({ row: aboutChange, undoneAt: undoneBy('at'), undoneBy: undoneBy('by') })
    .from(gearChange)
    .$dynamic();

type Row = Awaited<ReturnType<typeof selectSaid>>[number];

const fromRow = ({ row, undoneAt, undoneBy: by }: Row): SaidRecord => ({
  ...row,
  undone: undoneAt !== null && by !== null ? { at: undoneAt, by } : null,
});

/** Whom or what something is asked to have been said of. */
export type SaidOf = { readonly customerId: string } | { readonly sawId: string } | { readonly piece: string };

/** What was said of a customer, a saw or a piece, the newest first; that something was undone stands beside it. */
export async function saidOfGear(db: Queryable, of: SaidOf, limit: number): Promise<readonly SaidRecord[]> {
  const about =
    'sawId' in of
      ? or(eq(gearChange.sawId, of.sawId), eq(gearChange.otherSawId, of.sawId))
      : 'piece' in of
        ? eq(gearChange.piece, of.piece)
        : and(eq(gearChange.customerId, of.customerId), isNull(gearChange.sawId));
  const rows = await selectSaid(db)
    .where(and(about, isNull(gearChange.undoes)))
    .orderBy(desc(gearChange.seq))
    .limit(limit);
  return rows.map(fromRow);
}

/** What was said of models lately, the newest first. */
export async function saidOfModels(db: Queryable, limit: number): Promise<readonly SaidRecord[]> {
  const rows = await selectSaid(db)
    .where(and(sql`what IN ('model-entered', 'model-mended', 'models-listed')`, isNull(gearChange.undoes)))
    .orderBy(desc(gearChange.seq))
    .limit(limit);
  return rows.map(fromRow);
}

export async function findGearChange(db: Queryable, id: string): Promise<SaidRecord | null> {
  const [row] = await selectSaid(db).where(eq(gearChange.id, id)).limit(1);
  return row ? fromRow(row) : null;
}

export async function addGearChange(tx: Transaction, change: GearChangeRecord): Promise<void> {
  await append(tx, gearChange, [change]);
}

/** What is said of the pieces of some saws, and the saws that they went to or came from. */
export interface SaidOfPieces {
  readonly said: Said;
  /** Tags of pieces, by their ids. */
  readonly tags: ReadonlyMap<string, string>;
  /** The saws asked for, and all that a piece went between. */
  readonly saws: readonly string[];
}

/** Pieces go from saw to saw at most so often before what is further away is left out. */
const MOST_STEPS = 8;

/** What a row says of pieces. */
interface ToldOfPiece {
  readonly tag?: string;
  readonly from?: string;
  readonly to?: string;
  readonly jobId?: string;
  readonly part?: Part;
  readonly isSame?: boolean;
  readonly piece?: string;
  readonly pieces?: readonly string[];
}

/** What is said of pieces. */
const OF_PIECES = ['piece-tagged', 'piece-moved', 'piece-told', 'chains-in-turn', 'chain-told'] as const;

/** Which piece each job found, as far as it was said; what was said last of a look counts. */
function looksTold(rows: readonly SaidRecord[]): Pick<Said, 'isSame' | 'which'> {
  const [isSame, which] = [new Map<string, boolean>(), new Map<string, string>()];
  for (const { what, said } of rows) {
    const { part, jobId, isSame: same, piece } = said as ToldOfPiece;
    if (!part || !jobId) continue;
    const look = lookKey(part, jobId);
    if (what === 'piece-told' && same !== undefined) {
      isSame.set(look, same);
      which.delete(look);
    } else if (what === 'chain-told' && piece) {
      which.set(look, piece);
      isSame.delete(look);
    }
  }
  return { isSame, which };
}

/** Of each saw the record that stays, and of that all that are one with it: each by its id, with the one that stays. */
async function recordsOf(db: Queryable, ids: readonly string[]): Promise<ReadonlyMap<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await db.all<{ id: string; into: string | null }>(sql`
    WITH RECURSIVE
      stays (id, "into") AS (
        SELECT id, merged_into FROM ${saw} WHERE id IN (SELECT value FROM json_each(${JSON.stringify(ids)}))
        UNION SELECT next.id, next.merged_into FROM stays JOIN ${saw} AS next ON next.id = stays."into"
      ),
      met (id, "into") AS (
        SELECT id, "into" FROM stays
        UNION SELECT next.id, next.merged_into FROM met JOIN ${saw} AS next ON next.merged_into = met.id
      )
    SELECT id, "into" FROM met`);
  const into = new Map(rows.map((row) => [row.id, row.into]));
  const stays = (id: string): string => {
    const other = into.get(id);
    return other ? stays(other) : id;
  };
  return new Map([...ids, ...into.keys()].map((id) => [id, stays(id)] as const));
}

/** What is said of the pieces of some saws, as it was said. */
const selectSaidOf = (db: Queryable, sawIds: readonly string[]) =>
  selectSaid(db)
    .where(
      and(
        inArray(gearChange.what, [...OF_PIECES]),
        or(inArray(gearChange.sawId, [...sawIds]), inArray(gearChange.otherSawId, [...sawIds])),
      ),
    )
    .orderBy(asc(gearChange.seq));

/** What is said of the pieces of some saws; with it, of those of every saw that their pieces were on. */
export async function saidOfPieces(db: Queryable, sawIds: readonly string[]): Promise<SaidOfPieces> {
  const rows = new Map<string, SaidRecord>();
  const stays = new Map<string, string>();
  let asked = sawIds;
  for (let step = 0; asked.length > 0 && step < MOST_STEPS; step += 1) {
    const [records, found] = await Promise.all([recordsOf(db, asked), selectSaidOf(db, asked)]);
    for (const row of found) rows.set(row.row.id, fromRow(row));
    const before = new Set([...stays.keys(), ...asked]);
    for (const [id, of] of records) stays.set(id, of);
    // What was said of a record that is one with another is said of that.
    const met = found.flatMap(({ row }) => [row.sawId, row.otherSawId].filter((id) => id !== null));
    asked = [...new Set([...records.keys(), ...met])].filter((id) => !before.has(id));
  }
  const stands = [...rows.values()]
    .filter(({ undone }) => undone === null)
    .toSorted((one, other) => one.seq - other.seq);
  const told = (row: SaidRecord) => row.said as ToldOfPiece;
  return {
    said: {
      ...looksTold(stands),
      moves: stands.flatMap((row): Move[] => {
        const { from, to } = told(row);
        return row.what === 'piece-moved' && row.piece && from && to
          ? [{ piece: row.piece, from: stays.get(from) ?? from, to: stays.get(to) ?? to, at: row.at }]
          : [];
      }),
      inTurn: stands.flatMap(({ what, sawId, said, at }) =>
        what === 'chains-in-turn' && sawId
          ? [{ saw: stays.get(sawId) ?? sawId, pieces: (said as ToldOfPiece).pieces ?? [], at }]
          : [],
      ),
    },
    tags: new Map(
      stands.flatMap((row) =>
        row.what === 'piece-tagged' && row.piece ? [[row.piece, told(row).tag ?? ''] as const] : [],
      ),
    ),
    saws: [...new Set(stays.values())],
  };
}

/** Pieces that have this very tag, whatever its capitals. */
export async function piecesTagged(db: Queryable, tag: string): Promise<readonly string[]> {
  const query = ftsQuery(tag);
  if (!query) return [];
  const rows = await db.all<{ ref: string }>(
    sql`SELECT ref FROM search WHERE search MATCH ${`{title} : (${query})`} AND kind = 'piece' AND ${IS_SEEN} AND title = ${tag.trim()} COLLATE NOCASE LIMIT 2`,
  );
  return rows.map(({ ref }) => ref);
}

/** What is said of a saw itself, and whose it is; null of one that is not known. */
export async function sawFactsOf(
  db: Queryable,
  id: string,
): Promise<{ readonly customerId: string; readonly mergedInto: string | null; readonly facts: SawFacts } | null> {
  const [row] = await db.select().from(saw).where(eq(saw.id, id)).limit(1);
  if (!row) return null;
  const { customerId, mergedInto, label, tag, mount, maxRpm, retiredAt } = row;
  return { customerId, mergedInto, facts: { label, tag, mount, maxRpm, retired: retiredAt !== null } };
}

export async function setSawFacts(tx: Transaction, id: string, facts: SawFacts, at: string): Promise<void> {
  const { retired, ...rest } = facts;
  await tx
    .update(saw)
    .set({ ...rest, retiredAt: retired ? at : null })
    .where(and(eq(saw.id, id), seenHere(saw)));
}

export async function customerFactsOf(db: Queryable, id: string): Promise<CustomerFacts | null> {
  const [row] = await db.select().from(customer).where(eq(customer.id, id)).limit(1);
  return row ? { name: row.name, contact: row.contact, retired: row.retiredAt !== null } : null;
}

export async function setCustomerFacts(tx: Transaction, id: string, facts: CustomerFacts, at: string): Promise<void> {
  const { retired, ...rest } = facts;
  await tx
    .update(customer)
    .set({ ...rest, retiredAt: retired ? at : null })
    .where(and(eq(customer.id, id), seenHere(customer)));
}

/** Puts jobs of one saw on another record, whichever shop they were done in. */
export async function putJobsOn(tx: Transaction, jobIds: readonly string[], sawId: string): Promise<void> {
  await tx
    .update(job)
    .set({ sawId })
    .where(and(inArray(job.id, [...jobIds]), OF_ALL_SHOPS));
}

/** The jobs of a saw, by their ids, whichever shop they were done in. */
export async function jobsOfSaw(db: Queryable, sawId: string): Promise<readonly string[]> {
  const rows = await db
    .select({ id: job.id })
    .from(job)
    .where(and(eq(job.sawId, sawId), OF_ALL_SHOPS));
  return rows.map(({ id }) => id);
}

/** How many names a statement takes at once. */
const AT_ONCE = 200;
const CUSTOMERS_AT_ONCE = 40;

/**
 * Forgets saws and customers that nothing but a list knows of: no job, and nothing that was said since. The search
 * forgets them with it.
 */
export async function forgetSaws(
  tx: Transaction,
  sawIds: readonly string[],
  customerIds: readonly string[],
): Promise<void> {
  for (let i = 0; i < sawIds.length; i += AT_ONCE) {
    const ids = sawIds.slice(i, i + AT_ONCE);
    const known = await tx
      .select({ id: saw.id })
      .from(saw)
      .where(
        and(
          inArray(saw.id, ids),
          isNull(saw.mergedInto),
          sql`NOT EXISTS (SELECT 1 FROM ${job} WHERE ${job.sawId} = ${saw.id})`,
          sql`NOT EXISTS (SELECT 1 FROM ${gearChange} WHERE ${gearChange.sawId} = ${saw.id} OR ${gearChange.otherSawId} = ${saw.id})`,
        ),
      );
    const gone = known.map(({ id }) => id);
    if (gone.length === 0) continue;
    await tx.delete(sawMemory).where(inArray(sawMemory.sawId, gone));
    await tx.delete(saw).where(and(inArray(saw.id, gone), ofThisShop(saw)));
    // Others are answered meanwhile.
    await letOthers();
  }
  for (const [i, id] of customerIds.entries()) {
    if (i % CUSTOMERS_AT_ONCE === 0) await letOthers();
    await tx
      .delete(customer)
      .where(
        and(
          eq(customer.id, id),
          ofThisShop(customer),
          sql`NOT EXISTS (SELECT 1 FROM ${saw} WHERE ${saw.customerId} = ${customer.id})`,
          sql`NOT EXISTS (SELECT 1 FROM ${job} WHERE ${job.customerId} = ${customer.id})`,
          sql`NOT EXISTS (SELECT 1 FROM ${gearChange} WHERE ${gearChange.customerId} = ${customer.id})`,
        ),
      );
  }
}

/** Lists of saws that were taken in, the newest first. */
export async function sawLists(db: Queryable, limit: number): Promise<readonly SaidRecord[]> {
  const rows = await selectSaid(db)
    .where(eq(gearChange.what, 'saws-listed'))
    .orderBy(desc(gearChange.seq))
    .limit(limit);
  return rows.map(fromRow);
}

export async function setMergedInto(tx: Transaction, sawId: string, into: string | null): Promise<void> {
  await tx
    .update(saw)
    .set({ mergedInto: into })
    .where(and(eq(saw.id, sawId), seenHere(saw)));
}
