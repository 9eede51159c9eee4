import { and, asc, eq, getTableColumns, inArray, isNull, like, ne, or } from 'drizzle-orm';
import { keyOfModel, type SawModel } from '../../core/saw-model';
import { ofThisShop } from '../shops/in-shop';
import { sawModel } from '../schema';
import type { Queryable, Transaction } from '../store';

/** What may be said of a model. */
export interface ModelFacts extends SawModel {
  /** Whether it is offered no more. */
  readonly retired: boolean;
}

export interface ModelRecord extends ModelFacts {
  readonly id: string;
}

const { id, name, bar, mount, pitch, gauge, links, sprocketKind, teeth, splines, retiredAt } =
  getTableColumns(sawModel);
const columns = { id, name, bar, mount, pitch, gauge, links, sprocketKind, teeth, splines, retiredAt };

type Row = Omit<ModelRecord, 'retired'> & { readonly retiredAt: string | null };

const fromRow = ({ retiredAt: retired, ...model }: Row): ModelRecord => ({ ...model, retired: retired !== null });

/** All models, by name and bar. */
export async function sawModels(
  db: Queryable,
  { limit, offset }: { readonly limit: number; readonly offset: number },
): Promise<readonly ModelRecord[]> {
  const rows = await db.select(columns).from(sawModel).orderBy(asc(sawModel.key)).limit(limit).offset(offset);
  return rows.map(fromRow);
}

export const countModels = (db: Queryable): Promise<number> => db.$count(sawModel);

export async function findModel(db: Queryable, model: string): Promise<ModelRecord | null> {
  const [row] = await db.select(columns).from(sawModel).where(eq(sawModel.id, model)).limit(1);
  return row ? fromRow(row) : null;
}

/** Models in use that begin as is typed, or have a word that does. */
export async function modelsCalled(db: Queryable, text: string, limit: number): Promise<readonly ModelRecord[]> {
  const begins = keyOfModel({ name: text, bar: '' })
    .trim()
    .replace(/[%_\\]/g, '');
  if (begins === '') return [];
  const rows = await db
    .select(columns)
    .from(sawModel)
    .where(and(or(like(sawModel.key, `${begins}%`), like(sawModel.key, `% ${begins}%`)), isNull(sawModel.retiredAt)))
    .orderBy(asc(sawModel.key))
    .limit(limit);
  return rows.map(fromRow);
}

/** Keys of those that are in use already, of some. */
export async function modelsInUse(
  db: Queryable,
  keys: readonly string[],
  own: string | null = null,
): Promise<ReadonlySet<string>> {
  const isAnother = own === null ? undefined : ne(sawModel.id, own);
  const rows = await db
    .select({ key: sawModel.key })
    .from(sawModel)
    .where(and(inArray(sawModel.key, [...keys]), isNull(sawModel.retiredAt), isAnother));
  return new Set(rows.map(({ key }) => key));
}

export async function addModel(
  tx: Transaction,
  {
    model,
    at,
    by,
    id: own,
  }: { readonly id: string; readonly model: SawModel; readonly at: string; readonly by: string },
): Promise<void> {
  await tx.insert(sawModel).values({ ...model, id: own, key: keyOfModel(model), at, by });
}

export async function setModelFacts(
  tx: Transaction,
  model: string,
  { retired, ...facts }: ModelFacts,
  at: string,
): Promise<void> {
  await tx
    .update(sawModel)
    .set({ ...facts, key: keyOfModel(facts), retiredAt: retired ? at : null })
    .where(and(eq(sawModel.id, model), ofThisShop(sawModel)));
}

/** Models that a list brought and that stand as it brought them are offered no more. */
export async function retireModels(tx: Transaction, models: readonly string[], at: string): Promise<void> {
  await tx
    .update(sawModel)
    .set({ retiredAt: at })
    .where(and(inArray(sawModel.id, [...models]), isNull(sawModel.retiredAt), ofThisShop(sawModel)));
}
