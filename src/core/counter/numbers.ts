import type { FamilyId, GaugeId } from '../families';
import type { StockKind, Wanted } from '../stock';
import type { IdentifiedProperty } from '../identify';

/** One of the three numbers as the counter sells by it. */
export interface CounterNumber<T> extends Wanted<T> {
  readonly status: 'settled' | 'open' | 'conflict' | 'unknown';
  /** The part it was read from; null for both, or for none. */
  readonly from: 'chain' | 'bar' | null;
}

/** The three numbers of the loop. */
export interface CounterNumbers {
  readonly pitch: CounterNumber<FamilyId>;
  readonly gauge: CounterNumber<GaugeId>;
  readonly driveLinks: CounterNumber<number>;
}

/** Which of the three numbers a kind of part is sold by. */
export function numbersOf(kind: StockKind): readonly IdentifiedProperty[] {
  switch (kind) {
    case 'chain':
    case 'bar':
      return ['pitch', 'gauge', 'driveLinks'];
    default:
      return ['pitch'];
  }
}
