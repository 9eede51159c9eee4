import { checkedRecordsSchema, type CheckedRecords } from '../../core/records';
import { headOf } from '../chain/append';
import { BEGAN } from '../chain/begin';
import type { Head } from '../chain/link';
import { chainLink, shopFact } from '../schema';
import { eq } from 'drizzle-orm';
import type { Queryable, Transaction } from '../store';

/** The fact in which stands what was found when the records were last gone through. */
const CHECKED = 'records.checked';

/** How the chain of records stands, as far as it can be told without going through it. */
export interface RecordsStanding {
  readonly head: Head;
  /** When the chain began; null where there is none. */
  readonly began: string | null;
  /** What was found last; null where nobody has looked yet. */
  readonly checked: CheckedRecords | null;
}

export async function recordsStanding(db: Queryable): Promise<RecordsStanding> {
  const [head, [first], checked] = await Promise.all([
    headOf(db),
    db.select({ key: chainLink.key }).from(chainLink).where(eq(chainLink.record, BEGAN)).limit(1),
    lastCheck(db),
  ]);
  return { head, began: first?.key ?? null, checked };
}

/** What was found when the records were last gone through; null where nobody has, or where it cannot be read. */
export async function lastCheck(db: Queryable): Promise<CheckedRecords | null> {
  const [row] = await db.select({ value: shopFact.value }).from(shopFact).where(eq(shopFact.key, CHECKED)).limit(1);
  if (!row) return null;
  const read = checkedRecordsSchema.safeParse(JSON.parse(row.value));
  return read.success ? read.data : null;
}

/** Writes down what was found. It is no record itself: the next look says it anew. */
export async function noteCheck(tx: Transaction, checked: CheckedRecords): Promise<void> {
  const value = JSON.stringify(checked);
  await tx
    .insert(shopFact)
    .values({ key: CHECKED, value })
    .onConflictDoUpdate({ target: [shopFact.shopId, shopFact.key], set: { value } });
}
