import Database from 'libsql';
import type { Misfit } from '../../core/records';
import { BEGAN } from './begin';
import { CHAINED_NAMES } from './chained';
import { codeOf, contentOf, hashOf, NO_HEAD, type Head, type Link } from './link';

/** How a chain of records stands. */
export interface Chain {
  readonly head: Head;
  /** When it began, ISO 8601; null where there is none. */
  readonly began: string | null;
  /** The first things that do not fit, by their places; empty where it is whole. */
  readonly misfits: readonly Misfit[];
}

/** Links looked at in one go. */
const SLICE = 2000;
/** Misfits that are named. */
const NAMED = 20;

type Row = Readonly<Record<string, unknown>>;
type Store = Database.Database;

const all = <T>(store: Store, sql: string, ...values: unknown[]): readonly T[] =>
  store.prepare(sql).all(...values) as readonly T[];

/** Records of some links, by record and key. */
function recordsOf(store: Store, links: readonly Link[]): ReadonlyMap<string, Row> {
  const found = new Map<string, Row>();
  for (const { record, key } of CHAINED_NAMES) {
    const keys = links.filter((link) => link.record === record).map((link) => link.key);
    if (keys.length === 0) continue;
    const rows = all<Row>(
      store,
      `SELECT * FROM "${record}" WHERE "${key}" IN (SELECT value FROM json_each(?))`,
      JSON.stringify(key === 'seq' ? keys.map(Number) : keys),
    );
    for (const row of rows) found.set(`${record} ${String(row[key])}`, row);
  }
  return found;
}

/** How one link stands to the one before it and to its record; null where it fits. */
function misfitOf(before: Head, link: Link, row: Row | undefined): Misfit | null {
  const { seq, record, key } = link;
  if (seq !== before.seq + 1) return { what: 'links-gone', seq: before.seq + 1 };
  const isFirst = seq === 1;
  if (isFirst !== (record === BEGAN)) return { what: 'changed', seq, record, key };
  if (!isFirst && !row) return { what: 'gone', seq, record, key };
  const content = row ? contentOf(row) : '';
  return hashOf(before.hash, link, content) === link.hash ? null : { what: 'changed', seq, record, key };
}

/** Links after one, with what does not fit among them. */
function* checked(store: Store, from: Head): Iterable<{ readonly link: Link; readonly misfit: Misfit | null }> {
  let before = from;
  for (;;) {
    const links = all<Link>(
      store,
      'SELECT seq, record, key, hash FROM chain_link WHERE seq > ? ORDER BY seq LIMIT ?',
      before.seq,
      SLICE,
    );
    const records = recordsOf(store, links);
    for (const link of links) {
      yield { link, misfit: misfitOf(before, link, records.get(`${link.record} ${link.key}`)) };
      before = link;
    }
    if (links.length < SLICE) return;
  }
}

const noChain: readonly Misfit[] = [{ what: 'no-chain' }];

/** Links that were cut off the end: the engine keeps the largest number it ever gave. */
function cutOff(store: Store, { seq }: Head): readonly Misfit[] {
  const [given] = all<{ seq: number }>(store, "SELECT seq FROM sqlite_sequence WHERE name = 'chain_link'");
  return given && given.seq <= seq ? [] : [{ what: 'links-gone', seq: seq + 1 }];
}

/** Records without a link. */
const foreign = (store: Store): readonly Misfit[] =>
  CHAINED_NAMES.flatMap(({ record, key }) =>
    all<{ key: unknown }>(
      store,
      `SELECT "${key}" AS key FROM "${record}" AS r WHERE NOT EXISTS
        (SELECT 1 FROM chain_link AS l WHERE l.record = '${record}' AND l.key = CAST(r."${key}" AS TEXT)) LIMIT ?`,
      NAMED,
    ).map((row): Misfit => ({ what: 'foreign', record, key: String(row.key) })),
  );

/** Looks into a store's file. */
export function inStore<T>(file: string, look: (store: Store) => T): T {
  const store = new Database(file, { timeout: 10_000 });
  try {
    return look(store);
  } finally {
    store.close();
  }
}

/** The link at a place; null where there is none. */
export function linkAt(store: Store, seq: number): Link | null {
  const [link] = all<Link>(store, 'SELECT seq, record, key, hash FROM chain_link WHERE seq = ?', seq);
  return link ?? null;
}

/** The link that a short code names; null where this chain has none such. */
export function linkOfCode(store: Store, code: string): Link | null {
  const link = linkAt(store, Number.parseInt(code, 10));
  return link && codeOf(link) === code ? link : null;
}

/** Hand-overs say which link was the last when they were written. */
const otherChains = (store: Store): readonly Misfit[] =>
  all<{ id: string; code: string }>(
    store,
    "SELECT id, json_extract(document, '$.recordCode') AS code FROM hand_over WHERE json_extract(document, '$.recordCode') NOT NULL",
  )
    .filter(({ code }) => linkOfCode(store, code) === null)
    .map(({ id, code }) => ({ what: 'other-chain', record: 'hand_over', key: id, code }));

export function headIn(store: Store): Head {
  const [head] = all<Head>(store, 'SELECT seq, hash FROM chain_link ORDER BY seq DESC LIMIT 1');
  return head ?? NO_HEAD;
}

const beganAt = (store: Store): string | null => {
  const first = linkAt(store, 1);
  return first?.record === BEGAN ? first.key : null;
};

/** Goes through the whole chain of a store, in one look at it. */
export function verifyChain(store: Store): Chain {
  store.exec('BEGIN');
  try {
    const misfits: Misfit[] = [];
    let head = NO_HEAD;
    for (const { link, misfit } of checked(store, NO_HEAD)) {
      if (misfit && misfits.length < NAMED) misfits.push(misfit);
      head = link;
    }
    misfits.push(...(head.seq === 0 ? noChain : cutOff(store, head)), ...foreign(store), ...otherChains(store));
    return { head: { seq: head.seq, hash: head.hash }, began: beganAt(store), misfits: misfits.slice(0, NAMED) };
  } finally {
    store.exec('ROLLBACK');
  }
}

/** Links at the end that are looked at when a store is opened. */
const LAST = 200;

/** Looks at the end of a chain alone: a matter of milliseconds. */
export function verifyEnd(store: Store): Chain {
  const head = headIn(store);
  const from = linkAt(store, head.seq - LAST) ?? NO_HEAD;
  const misfits = [...checked(store, from)].flatMap(({ misfit }) => misfit ?? []);
  return {
    head: { seq: head.seq, hash: head.hash },
    began: beganAt(store),
    misfits: [...misfits, ...(head.seq === 0 ? noChain : cutOff(store, head))].slice(0, NAMED),
  };
}
