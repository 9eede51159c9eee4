import { sql } from 'drizzle-orm';
import { saw, stockPart } from '../schema';
import type { Queryable } from '../store';

/** Whether a shop has brought anything of its shelf and of its saws, however much. */
export async function whatIsBrought(db: Queryable): Promise<{ readonly stock: boolean; readonly saws: boolean }> {
  const [found] = await db.all<{ stock: number; saws: number }>(
    sql`SELECT EXISTS (SELECT 1 FROM ${stockPart}) AS stock, EXISTS (SELECT 1 FROM ${saw}) AS saws`,
  );
  return { stock: found!.stock === 1, saws: found!.saws === 1 };
}
