import type { FamilyId, GaugeId } from '../families';
import type { SmallPart, StockKind, StockPart } from '../stock';

/** Parts by what is asked of them: looked up and not searched. */
export interface Shelf {
  readonly chains: ReadonlyMap<string, readonly StockPart[]>;
  readonly bars: readonly StockPart[];
  readonly sprockets: ReadonlyMap<FamilyId, readonly StockPart[]>;
  readonly noses: ReadonlyMap<FamilyId, readonly StockPart[]>;
  readonly small: Readonly<Record<SmallPart, readonly StockPart[]>>;
}

/** The three numbers of a set. */
export interface Numbers {
  readonly pitch: FamilyId;
  readonly gauge: GaugeId;
  readonly driveLinks: number;
}

export const numbersKey = ({ pitch, gauge, driveLinks }: Numbers): string => `${pitch} ${gauge} ${driveLinks}`;

/** The three numbers of a part in stock; null where it does not say them. */
export function numbersOf({ pitch, gauge, driveLinks }: StockPart): Numbers | null {
  return pitch && gauge && driveLinks ? { pitch, gauge, driveLinks } : null;
}

/** Whether one part goes before another: the cheaper, of equals the one that is there, then by name. */
export function isCheaper(a: StockPart, b: StockPart): boolean {
  if (a.priceCents !== b.priceCents) return a.priceCents < b.priceCents;
  return a.quantity > 0 !== b.quantity > 0 ? a.quantity > 0 : a.sku < b.sku;
}

/** The cheapest of some parts that will do; null where none does. */
export function cheapest(
  parts: readonly StockPart[] | undefined,
  willDo: (part: StockPart) => boolean,
): StockPart | null {
  let found: StockPart | null = null;
  for (const part of parts ?? []) if (willDo(part) && (found === null || isCheaper(part, found))) found = part;
  return found;
}

function grouped<K>(
  parts: readonly StockPart[],
  keyOf: (part: StockPart) => K | null,
): ReadonlyMap<K, readonly StockPart[]> {
  const groups = new Map<K, StockPart[]>();
  for (const part of parts) {
    const key = keyOf(part);
    if (key === null) continue;
    const group = groups.get(key);
    if (group) group.push(part);
    else groups.set(key, [part]);
  }
  return groups;
}

/**
 * Lays out a stock for planning.
 * @param toOrder whether parts that are not on the shelf may be ordered
 */
export function shelfOf(stock: readonly StockPart[], toOrder: boolean): Shelf {
  const kinds = grouped(stock, ({ kind, quantity }) => (toOrder || quantity > 0 ? kind : null));
  const of = (kind: StockKind) => kinds.get(kind) ?? [];
  return {
    chains: grouped(of('chain'), (part) => {
      const numbers = numbersOf(part);
      return numbers && numbersKey(numbers);
    }),
    bars: of('bar'),
    sprockets: grouped(of('drive-sprocket'), ({ pitch }) => pitch),
    noses: grouped(of('nose'), ({ pitch }) => pitch),
    small: { drum: of('drum'), bearing: of('bearing'), clip: of('clip') },
  };
}
