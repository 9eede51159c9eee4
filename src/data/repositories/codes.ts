import { and, eq } from 'drizzle-orm';
import { codeKey, type LearnedCode } from '../../core/identify';
import { ofThisShop } from '../shops/in-shop';
import { learnedCode } from '../schema';
import type { Queryable, Transaction } from '../store';
import { addShopChange, type Written } from './shop';

/** A learned code with who taught it. */
export interface LearnedCodeRecord extends LearnedCode {
  readonly at: string;
  readonly by: string;
}

/** Learns a code, or puts right what it was thought to stand for. */
export async function putCode(tx: Transaction, code: LearnedCodeRecord): Promise<void> {
  const row = { ...code, key: codeKey(code.code) };
  await tx
    .insert(learnedCode)
    .values(row)
    .onConflictDoUpdate({ target: [learnedCode.shopId, learnedCode.key], set: row });
  const { code: name, at, by, ...means } = code;
  await addShopChange(tx, { what: `code.${name}`, value: JSON.stringify(means), at, by });
}

/** A code by its key, or null where it was not learned. */
export async function findCode(db: Queryable, code: string): Promise<LearnedCodeRecord | null> {
  const [row] = await db
    .select()
    .from(learnedCode)
    .where(eq(learnedCode.key, codeKey(code)))
    .limit(1);
  if (!row) return null;
  const { key: _key, shopId: _shopId, ...found } = row;
  return found;
}

export async function removeCode(tx: Transaction, code: string, { at, by }: Written): Promise<void> {
  const gone = await tx
    .delete(learnedCode)
    .where(and(eq(learnedCode.key, codeKey(code)), ofThisShop(learnedCode)))
    .returning({ code: learnedCode.code });
  for (const each of gone) await addShopChange(tx, { what: `code.${each.code}`, value: null, at, by });
}
