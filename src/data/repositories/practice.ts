import { and, asc, count, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Level, Recipe, Said, Score, Taken, Theme, PracticePart } from '../../core/practice';
import type { Askable } from '../../core/sheet';
import { practiceRound } from '../schema';
import { ofThisShop } from '../shops/in-shop';
import type { Queryable, Transaction } from '../store';

/** A hint that was given. */
export interface HintRecord {
  readonly measure: Askable | null;
  readonly at: number | null;
  readonly minutes: number;
}

/** What was said, and how sure of each part. */
export type SaidOfRound = Said & { readonly sure: Readonly<Partial<Record<PracticePart, number>>> };

/** A round of practice as it is stored. */
export interface RoundRecord extends Omit<typeof practiceRound.$inferSelect, 'shopId'> {
  readonly level: Level;
  readonly theme: Theme;
  readonly taken: readonly Taken[];
  readonly hints: readonly HintRecord[];
  readonly said: SaidOfRound | null;
  readonly score: Score | null;
}

type Row = typeof practiceRound.$inferSelect;

/** What was written here was checked when it was. */
const roundFrom = ({ shopId: _shopId, ...row }: Row): RoundRecord => row as RoundRecord;

export const recipeOf = ({ seed, level, theme }: Pick<RoundRecord, 'seed' | 'level' | 'theme'>): Recipe => ({
  seed,
  level,
  theme,
});

export async function addRound(tx: Transaction, round: RoundRecord): Promise<void> {
  await tx.insert(practiceRound).values(round);
}

export async function findRound(db: Queryable, id: string): Promise<RoundRecord | null> {
  const [row] = await db.select().from(practiceRound).where(eq(practiceRound.id, id)).limit(1);
  return row ? roundFrom(row) : null;
}

/** All rounds of a sitting, in their order. */
export async function roundsOfSitting(db: Queryable, sitting: string): Promise<readonly RoundRecord[]> {
  const rows = await db
    .select()
    .from(practiceRound)
    .where(eq(practiceRound.sitting, sitting))
    .orderBy(asc(practiceRound.place));
  return rows.map(roundFrom);
}

/** Rounds of somebody, the newest first. */
export async function roundsOf(db: Queryable, by: string, limit: number): Promise<readonly RoundRecord[]> {
  const rows = await db
    .select()
    .from(practiceRound)
    .where(eq(practiceRound.by, by))
    .orderBy(desc(practiceRound.at), desc(practiceRound.place))
    .limit(limit);
  return rows.map(roundFrom);
}

/** Everybody who has answered a round, and how many. */
export const learners = async (db: Queryable): Promise<readonly { readonly by: string; readonly rounds: number }[]> =>
  db
    .select({ by: practiceRound.by, rounds: count() })
    .from(practiceRound)
    .where(isNotNull(practiceRound.answeredAt))
    .groupBy(practiceRound.by)
    .orderBy(asc(practiceRound.by));

/** Writes down what was read, or hinted; nothing once the round is answered. */
export async function putRound(
  tx: Transaction,
  id: string,
  change: Partial<Pick<RoundRecord, 'taken' | 'hints' | 'said' | 'score' | 'answeredAt'>>,
): Promise<void> {
  await tx
    .update(practiceRound)
    .set(change)
    .where(and(eq(practiceRound.id, id), isNull(practiceRound.answeredAt), ofThisShop(practiceRound)));
}
