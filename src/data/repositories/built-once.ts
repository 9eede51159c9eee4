import type { Queryable } from '../store';

/**
 * A query that is built once for each store, and asked with other values each time: to build it takes longer than to
 * answer it.
 * @param build the query, prepared, with placeholders for what changes
 */
export function builtOnce<Query>(build: (db: Queryable) => Query): (db: Queryable) => Query {
  const built = new WeakMap<Queryable, Query>();
  return (db) => {
    const known = built.get(db);
    if (known) return known;
    const query = build(db);
    built.set(db, query);
    return query;
  };
}
