import { sql } from 'drizzle-orm';
import type { Queryable, Transaction } from '../store';
import { ftsQuery, wordsOf } from './stock';

export interface SearchHit {
  readonly kind: 'customer' | 'saw' | 'job' | 'part';
  readonly ref: string;
  readonly title: string;
  readonly body: string;
}

/** A word in a title counts this many times one in the text beside it: a customer comes before the customer's jobs. */
const TITLE_WEIGHT = 10;

/** Words of the text beside a title that are shown, about what was found. */
const SNIPPET_WORDS = 12;

/**
 * Finds customers, saws, jobs and parts whose words begin with the words typed, best first: what is called exactly
 * what was typed (a tag, a name, a part's code) before all that only mentions it, however much of that there is.
 */
export async function search(db: Queryable, text: string, limit: number): Promise<readonly SearchHit[]> {
  const query = ftsQuery(text);
  if (!query) return [];
  const called = text.trim();
  const beginsSo = `{title body} : ^ "${wordsOf(called).join(' ')}"`;
  const calledSo = sql`SELECT rowid FROM search WHERE search MATCH ${beginsSo} AND (title = ${called} COLLATE NOCASE OR body = ${called} COLLATE NOCASE)`;
  return db.all<SearchHit>(
    sql`SELECT kind, ref, title, snippet(search, 3, '', '', '…', ${SNIPPET_WORDS}) AS body FROM search WHERE search MATCH ${query} ORDER BY rowid IN (${calledSo}) DESC, bm25(search, 0, 0, ${TITLE_WEIGHT}, 1) LIMIT ${limit}`,
  );
}

/** Writes anew what a job is found by beside its tag. */
export async function setJobText(tx: Transaction, jobId: string, text: string): Promise<void> {
  await tx.run(
    sql`UPDATE search SET body = ${text} WHERE rowid IN (SELECT id FROM search_row WHERE kind = 'job' AND ref = ${jobId}) AND body <> ${text}`,
  );
}
