import type { StockPart } from '../../core/stock';
import { money, type ShopStyle } from '../shop-format';

/** What was put right on a part's card beside its quantity, such as `minimum 2 → 4, price £17.90 → £18.40`. */
export function cardChange(
  before: Pick<StockPart, 'minimum' | 'priceCents'>,
  after: Pick<StockPart, 'minimum' | 'priceCents'>,
  shop: ShopStyle,
): string {
  return [
    before.minimum !== after.minimum && `minimum ${before.minimum} → ${after.minimum}`,
    before.priceCents !== after.priceCents &&
      `price ${money(before.priceCents, shop)} → ${money(after.priceCents, shop)}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** What moved on the shelf. */
export const movementWord = {
  taken: 'taken',
  booked: 'booked in',
  counted: 'counted',
  changed: 'put right',
  list: 'by a list',
  'list-undone': 'list undone',
  'for-job': 'taken for a job',
  'from-job': 'put back from a job',
  arrived: 'arrived',
} as const;
