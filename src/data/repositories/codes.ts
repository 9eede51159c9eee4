import { asc, eq } from 'drizzle-orm';
import { codeKey, type LearnedCode } from '../../core/identify';
import { learnedCode } from '../schema';
import type { Queryable, Transaction } from '../store';

/** A learned code with who taught it. */
export interface LearnedCodeRecord extends LearnedCode {
  readonly at: string;
  readonly by: string;
}

export async function listCodes(db: Queryable): Promise<readonly LearnedCodeRecord[]> {
  const rows = await db.select().from(learnedCode).orderBy(asc(learnedCode.key));
  return rows.map(({ key: _key, ...code }) => code);
}

/** Learns a code, or puts right what it was thought to stand for. */
export async function putCode(tx: Transaction, code: LearnedCodeRecord): Promise<void> {
  const row = { ...code, key: codeKey(code.code) };
  await tx.insert(learnedCode).values(row).onConflictDoUpdate({ target: learnedCode.key, set: row });
}

export async function removeCode(tx: Transaction, code: string): Promise<void> {
  await tx.delete(learnedCode).where(eq(learnedCode.key, codeKey(code)));
}
