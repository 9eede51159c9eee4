/** How an order of a part stands with the supplier. */
export const ORDER_STATES = ['ordered', 'confirmed', 'late', 'refused', 'arrived', 'cancelled'] as const;
export type OrderState = (typeof ORDER_STATES)[number];

/** An order of one part, as its newest event has it. */
export interface PartOrder {
  readonly id: string;
  readonly sku: string;
  readonly state: OrderState;
  /** The day it is to be here, as an ISO date; null where none was named. */
  readonly due: string | null;
}

/** Pieces moved for a job: fewer on the shelf below 0. */
export interface MovedForJob {
  readonly sku: string;
  readonly kind: 'for-job' | 'from-job' | 'arrived';
  readonly change: number;
}

/**
 * How a part that a plan needs stands: in hand, to be taken, on its way, refused, or not to be had until it is ordered.
 */
export const BOOKING_STATES = ['taken', 'on-shelf', 'ordered', 'confirmed', 'late', 'refused', 'missing'] as const;
export type BookingState = (typeof BOOKING_STATES)[number];

/** What is known of the parts of a plan. */
export interface Booked {
  readonly moved: readonly MovedForJob[];
  readonly orders: readonly PartOrder[];
  /** Pieces on the shelf, by part number. */
  readonly shelf: ReadonlyMap<string, number>;
  /** ISO date. */
  readonly today: string;
}

/** Pieces of a part that were taken for the job and not put back. */
export const takenFor = (sku: string, moved: readonly MovedForJob[]): number =>
  moved.reduce((sum, each) => (each.sku === sku && each.kind !== 'arrived' ? sum - each.change : sum), 0);

/** An order that the supplier still has to answer for. */
export const isOpenOrder = ({ state }: Pick<PartOrder, 'state'>): boolean =>
  state === 'ordered' || state === 'confirmed' || state === 'late';

/** The order that counts for a part: the newest that was neither filled nor called off; null where there is none. */
export const orderOf = (sku: string, orders: readonly PartOrder[]): PartOrder | null =>
  orders.filter((order) => order.sku === sku && (isOpenOrder(order) || order.state === 'refused')).at(-1) ?? null;

/** How an order stands today: one whose day has passed is late, whatever the supplier last said. */
export const orderToday = ({ state, due }: PartOrder, today: string): OrderState =>
  state === 'confirmed' && due !== null && due < today ? 'late' : state;

/** How one part of a plan stands. */
export function bookingOf(sku: string, { moved, orders, shelf, today }: Booked): BookingState {
  if (takenFor(sku, moved) > 0) return 'taken';
  const order = orderOf(sku, orders);
  if (order && isOpenOrder(order)) return orderToday(order, today) as BookingState;
  if ((shelf.get(sku) ?? 0) > 0) return 'on-shelf';
  return order ? 'refused' : 'missing';
}

/** Whether a job waits for a part: it is neither in hand nor on the shelf. */
export const lacks = (state: BookingState): boolean => state !== 'taken' && state !== 'on-shelf';
