import { asc, eq, getTableColumns, inArray } from 'drizzle-orm';
import { append } from '../chain/append';
import { partOrder, partOrderEvent } from '../schema';
import type { Queryable, Transaction } from '../store';

export type PartOrderRecord = typeof partOrder.$inferSelect;
/** One step of an order. */
export type PartOrderEvent = Omit<typeof partOrderEvent.$inferSelect, 'seq'>;

/** An order with all that became of it, oldest first. */
export interface OrderWithEvents extends PartOrderRecord {
  readonly events: readonly PartOrderEvent[];
}

async function withEvents(db: Queryable, orders: readonly PartOrderRecord[]): Promise<readonly OrderWithEvents[]> {
  if (orders.length === 0) return [];
  const { seq: _seq, ...about } = getTableColumns(partOrderEvent);
  const events = await db
    .select(about)
    .from(partOrderEvent)
    .where(
      inArray(
        partOrderEvent.orderId,
        orders.map(({ id }) => id),
      ),
    )
    .orderBy(asc(partOrderEvent.seq));
  return orders.map((order) => ({ ...order, events: events.filter(({ orderId }) => orderId === order.id) }));
}

/** Orders for a job, the oldest first. */
export async function ordersFor(db: Queryable, jobId: string): Promise<readonly OrderWithEvents[]> {
  return withEvents(db, await db.select().from(partOrder).where(eq(partOrder.jobId, jobId)).orderBy(asc(partOrder.at)));
}

export async function findOrder(db: Queryable, id: string): Promise<OrderWithEvents | null> {
  const [order] = await withEvents(db, await db.select().from(partOrder).where(eq(partOrder.id, id)).limit(1));
  return order ?? null;
}

export async function addOrder(tx: Transaction, order: PartOrderRecord): Promise<void> {
  await append(tx, partOrder, [order]);
}

export async function addOrderEvent(tx: Transaction, event: PartOrderEvent): Promise<void> {
  await append(tx, partOrderEvent, [event]);
}
