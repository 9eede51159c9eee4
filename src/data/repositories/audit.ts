import { sql } from 'drizzle-orm';
import type { RECORD_KINDS } from '../../core/records';
import { THIS_SHOP_OF_A_RECORD } from '../shops/names';
import type { Queryable } from '../store';

export type RecordKind = (typeof RECORD_KINDS)[number];

/** A record that never changes, as an audit tells it. */
export interface AuditRecord {
  /** Its number in the chain of records. */
  readonly seq: number;
  readonly record: RecordKind;
  readonly at: string;
  readonly by: string;
  /** The job it was done to; null where it was done to none. */
  readonly job: { readonly id: string; readonly tag: string } | null;
  /** What there is to say of it, by the names of its columns. */
  readonly told: Readonly<Record<string, unknown>>;
}

/** What is told of each kind of record: the column its link names it by, its job, and what else. */
const TOLD: Readonly<Record<RecordKind, { readonly key: string; readonly job: string; readonly told: string }>> = {
  reading: { key: 'seq', job: 'job_id', told: "'path', path, 'text', text, 'unit', unit" },
  sign_off: { key: 'id', job: 'job_id', told: '' },
  hand_over: { key: 'id', job: 'job_id', told: '' },
  limit_change: { key: 'seq', job: 'NULL', told: "'limitId', limit_id, 'value', json(value)" },
  shop_change: { key: 'seq', job: 'NULL', told: "'what', what, 'value', value" },
  hand_study: { key: 'seq', job: 'NULL', told: "'instrument', instrument, 'setsAside', sets_aside" },
  stock_movement: { key: 'seq', job: 'job_id', told: "'sku', sku, 'kind', kind, 'change', change" },
  part_order: { key: 'id', job: 'job_id', told: "'sku', sku" },
  part_order_event: {
    key: 'seq',
    job: '(SELECT job_id FROM part_order WHERE part_order.id = order_id)',
    told: "'state', state, 'sku', (SELECT sku FROM part_order WHERE part_order.id = order_id)",
  },
  gear_change: { key: 'seq', job: 'NULL', told: "'what', what, 'piece', piece" },
  people_event: { key: 'seq', job: 'NULL', told: "'what', what, 'about', about, 'detail', detail" },
};

interface LinkRow {
  readonly seq: number;
  readonly record: RecordKind;
  readonly key: string;
}

interface Row {
  readonly key: string | number;
  readonly at: string;
  readonly by: string;
  readonly jobId: string | null;
  readonly tag: string | null;
  readonly told: string;
}

/** What is said of a saw is seen wherever the saw is; who said it is told in their own shop. */
const SAID_HERE = sql`shop_id IS ${THIS_SHOP_OF_A_RECORD}`;

async function recordsOf(db: Queryable, record: RecordKind, keys: readonly string[]): Promise<readonly Row[]> {
  const { key, job, told } = TOLD[record];
  const wanted = JSON.stringify(key === 'seq' ? keys.map(Number) : keys);
  return db.all<Row>(sql`
    SELECT standing.*, (SELECT tag FROM job WHERE id = standing."jobId") AS tag FROM (
      SELECT ${sql.raw(key)} AS key, at, "by", ${sql.raw(job)} AS "jobId", json_object(${sql.raw(told)}) AS told
      FROM ${sql.identifier(record)} WHERE ${sql.raw(key)} IN (SELECT value FROM json_each(${wanted})) AND ${record === 'gear_change' ? SAID_HERE : sql`1`}
    ) AS standing`);
}

/**
 * Records that lie before a place in the chain, the newest first: so many links are looked at, whatever is found.
 * @param before the place, by its number; null for the end
 * @returns what was found, and the place that was come to; null where the chain was gone through
 */
export async function recordsBefore(
  db: Queryable,
  before: number | null,
  kinds: readonly RecordKind[],
  limit: number,
): Promise<{ readonly found: readonly AuditRecord[]; readonly before: number | null }> {
  const links = await db.all<LinkRow>(sql`
    SELECT seq, record, key FROM chain_link WHERE seq < ${before ?? Number.MAX_SAFE_INTEGER} ORDER BY seq DESC LIMIT ${limit}`);
  const found: AuditRecord[] = [];
  for (const record of kinds) {
    const its = links.filter((link) => link.record === record);
    if (its.length === 0) continue;
    const rows = new Map(
      (
        await recordsOf(
          db,
          record,
          its.map(({ key }) => key),
        )
      ).map((row) => [String(row.key), row]),
    );
    for (const { seq, key } of its) {
      const row = rows.get(key);
      if (!row) continue;
      const { at, by, jobId, tag, told } = row;
      const job = jobId !== null && tag !== null ? { id: jobId, tag } : null;
      found.push({ seq, record, at, by, job, told: JSON.parse(told) as AuditRecord['told'] });
    }
  }
  const last = links.at(-1)?.seq ?? null;
  return { found: found.toSorted((a, b) => b.seq - a.seq), before: links.length < limit ? null : last };
}
