import type { FamilyId, GaugeId } from '../families';
import type { SprocketKind } from '../declared';
import type { Identified, Sequence } from '../identify';
import { live, type KickbackClass } from '../fit';
import type { StockKind } from './stock-kind';

/** A number as far as it is known: one settled value, several that are still in question, or nothing at all. */
export interface Wanted<T> {
  readonly values: readonly T[];
  readonly settled: boolean;
}

/** What a part must be to be sold for this job. Null means that it is not known and not asked. */
export interface Need {
  readonly kind: StockKind;
  readonly pitch: Wanted<FamilyId>;
  readonly gauge: Wanted<GaugeId>;
  readonly driveLinks: Wanted<number>;
  /** Class of the chain to be sold; null while nobody has said who runs the saw. */
  readonly kickbackClass: KickbackClass | null;
  /** Order of the cutters; null where nobody counted or said it. */
  readonly sequence: Sequence | null;
  readonly mount: string | null;
  readonly oilHole: string | null;
  readonly listedInches: readonly number[];
  readonly teeth: number | null;
  readonly sprocketKind: SprocketKind | null;
  readonly splines: number | null;
  /** mm. */
  readonly bore: number | null;
  /** The saw it is for, as the shop names it. */
  readonly saw: string | null;
}

/** Nothing known of a number. */
export const UNKNOWN: Wanted<never> = { values: [], settled: false };

/** A settled number. */
export const settled = <T>(value: T): Wanted<T> => ({ values: [value], settled: true });

/** A number as identifying left it. A contradicted one is not known. */
export function wantedOf<T>(property: Identified<T>): Wanted<T> {
  if (property.status === 'conflict') return UNKNOWN;
  return property.value === null ? { values: live(property), settled: false } : settled(property.value);
}

const NOTHING: Omit<Need, 'kind'> = {
  pitch: UNKNOWN,
  gauge: UNKNOWN,
  driveLinks: UNKNOWN,
  kickbackClass: null,
  sequence: null,
  mount: null,
  oilHole: null,
  listedInches: [],
  teeth: null,
  sprocketKind: null,
  splines: null,
  bore: null,
  saw: null,
};

/** The need that a written order states. */
export function chainNeed(order: {
  readonly pitch: FamilyId;
  readonly gauge: GaugeId;
  readonly driveLinks: number;
  readonly kickbackClass: KickbackClass | null;
  readonly sequence: Sequence | null;
}): Need {
  return need('chain', {
    pitch: settled(order.pitch),
    gauge: settled(order.gauge),
    driveLinks: settled(order.driveLinks),
    kickbackClass: order.kickbackClass,
    sequence: order.sequence,
  });
}

/** A need of one kind of part, with what is known of it. */
export function need(kind: StockKind, known: Partial<Omit<Need, 'kind'>>): Need {
  return { kind, ...NOTHING, ...known };
}
