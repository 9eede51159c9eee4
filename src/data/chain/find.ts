import { eq, sql } from 'drizzle-orm';
import { chainLink } from '../schema';
import type { Queryable } from '../store';
import { BEGAN } from './begin';
import { CHAINED_NAMES } from './chained';
import { codeOf } from './link';

/** A record that a link holds, with who wrote it and when. */
export interface LinkedRecord {
  readonly seq: number;
  readonly record: string;
  readonly at: string;
  readonly by: string;
}

/** The record whose link has a short code; null where no link has it. */
export async function findLink(db: Queryable, code: string): Promise<LinkedRecord | null> {
  const [link] = await db
    .select()
    .from(chainLink)
    .where(eq(chainLink.seq, Number.parseInt(code, 10)))
    .limit(1);
  if (!link || codeOf(link) !== code) return null;
  const { seq, record, key } = link;
  if (record === BEGAN) return { seq, record, at: key, by: '' };
  const name = CHAINED_NAMES.find((each) => each.record === record);
  if (!name) return null;
  const [written] = await db.all<{ at: string; by: string }>(
    sql`SELECT at, "by" FROM ${sql.identifier(record)} WHERE ${sql.identifier(name.key)} = ${key}`,
  );
  return { seq, record, at: written?.at ?? '', by: written?.by ?? '' };
}
