import type { OrderAnswer, SupplierMood } from '../../contract';
import { spread } from './spread';

/**
 * What the stand-in does with an order, or with a question about one: it takes its time, then answers, or the line is
 * dead.
 */
export type OrderBehaviour =
  { readonly line: 'up'; readonly waitMs: number; readonly answer: OrderAnswer } | { readonly line: 'dead' };

const USUAL_WAIT_MS = 300;
const SLOW_WAIT_MS = 9000;
/** Working days that a late order takes more. */
const LATE_BY = 6;

/**
 * The simulated supplier takes orders: how long one takes follows from its part number, so that it can be repeated; the
 * shop may set a mood to practise with.
 * @param asked true where an order is asked about that was placed before
 */
export function simulatedOrder(mood: SupplierMood, sku: string, asked: boolean): OrderBehaviour {
  if (mood === 'unreachable') return { line: 'dead' };
  const waitMs = mood === 'slow' ? SLOW_WAIT_MS : USUAL_WAIT_MS;
  const days = 1 + (spread(sku) % 4);
  if (mood === 'out-of-stock')
    return { line: 'up', waitMs, answer: { state: 'refused', days: null, why: 'No longer made, and none left.' } };
  if (mood === 'late' && asked)
    return { line: 'up', waitMs, answer: { state: 'late', days: days + LATE_BY, why: 'Held up on the way.' } };
  return { line: 'up', waitMs, answer: { state: 'confirmed', days } };
}
