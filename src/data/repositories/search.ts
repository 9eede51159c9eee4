import { sql, type SQL } from 'drizzle-orm';
import type { Queryable } from '../store';
import { ftsQuery, IS_SEEN, wordsOf } from './stock';

export interface SearchHit {
  readonly kind: 'customer' | 'saw' | 'piece' | 'job' | 'part';
  readonly ref: string;
  readonly title: string;
  readonly body: string;
}

/** A word in a title counts this many times one in the text beside it: a customer comes before the customer's jobs. */
const TITLE_WEIGHT = 10;

/** Words of the text beside a title that are shown, about what was found. */
const SNIPPET_WORDS = 12;

/**
 * Hits that are weighed against one another. Of more, weighing takes a quarter of a second, and what all of them mention
 * tells none of them apart: the newest will do.
 */
const MOST_WEIGHED = 2000;

/**
 * Finds customers, saws, jobs and parts whose words begin with the words typed, best first: what is called exactly
 * what was typed (a tag, a name, a part's code) before all that only mentions it, however much of that there is.
 */
export async function search(db: Queryable, text: string, limit: number): Promise<readonly SearchHit[]> {
  const query = ftsQuery(text);
  if (!query) return [];
  const called = text.trim();
  const beginsSo = `^ "${wordsOf(called).join(' ')}"`;
  const [titledSo, toldSo] = [sql`title = ${called} COLLATE NOCASE`, sql`body = ${called} COLLATE NOCASE`];
  const hits = (what: string, order: SQL, and = sql``) =>
    db.all<SearchHit>(
      sql`SELECT kind, ref, title, snippet(search, 3, '', '', '…', ${SNIPPET_WORDS}) AS body FROM search WHERE search MATCH ${what} AND ${IS_SEEN} ${and} ORDER BY ${order} LIMIT ${limit}`,
    );
  if (!(await isCrowded(db, query))) {
    const calledSo = sql`SELECT rowid FROM search WHERE search MATCH ${`{title body} : ${beginsSo}`} AND (${titledSo} OR ${toldSo})`;
    return hits(query, sql`rowid IN (${calledSo}) DESC, bm25(search, 0, 0, ${TITLE_WEIGHT}, 1)`);
  }
  const newest = sql`rowid DESC`;
  const found = new Map<string, SearchHit>();
  // Each of these ends with the first few that it finds, and is asked only where those before found too few.
  for (const more of [
    () => hits(`{title} : ${beginsSo}`, newest, sql`AND ${titledSo}`),
    () => hits(`{body} : ${beginsSo}`, newest, sql`AND rowid IN (${toldExactly(`{body} : ${beginsSo}`, called)})`),
    () => hits(`{title} : (${query})`, newest),
    () => hits(query, newest),
  ])
    if (found.size < limit) for (const hit of await more()) found.set(`${hit.kind} ${hit.ref}`, hit);
  return [...found.values()].slice(0, limit);
}

/**
 * Rows whose text is what was typed and nothing else, such as a part's code: looked for among the oldest and the newest
 * that begin so. Of two hundred thousand jobs of one customer each begins with the customer's name, and to read them
 * all takes a quarter of a second.
 */
function toldExactly(what: string, called: string): SQL {
  const some = (order: SQL) =>
    sql`SELECT rowid FROM (SELECT rowid FROM search WHERE search MATCH ${what} ORDER BY ${order} LIMIT ${MOST_WEIGHED})`;
  return sql`
    SELECT search.rowid FROM search
    WHERE rowid IN (${some(sql`rowid`)} UNION ALL ${some(sql`rowid DESC`)}) AND body = ${called} COLLATE NOCASE`;
}

/** Whether more is found than is weighed. */
async function isCrowded(db: Queryable, query: string): Promise<boolean> {
  const [row] = await db.all<{ found: number }>(
    sql`SELECT count(*) AS found FROM (SELECT 1 FROM search WHERE search MATCH ${query} AND ${IS_SEEN} LIMIT ${MOST_WEIGHED + 1})`,
  );
  return row!.found > MOST_WEIGHED;
}
