import type { FamilyId, GaugeId } from '../families';
import type { ClassKnown, FitJudgement, FitRule, KickbackClass } from '../fit';
import type { Identified, Identity, OnMark } from '../identify';

/** The three numbers that order a chain, and the class it must not be stepped up from. */
export interface ChainOrder {
  readonly pitch: FamilyId;
  readonly gauge: GaugeId;
  readonly driveLinks: number;
  /** Null when neither the chain nor the operator's training is known: then it must be asked. */
  readonly kickbackClass: KickbackClass | null;
}

/** Why no order can be written yet. */
export type OrderWithheld =
  | {
      readonly code: 'not-settled';
      readonly number: 'pitch' | 'gauge' | 'driveLinks';
      readonly status: 'open' | 'conflict';
    }
  | { readonly code: 'links-not-counted' }
  | { readonly code: 'parts-clash'; readonly rule: FitRule };

export type OrderOutcome = { readonly order: ChainOrder } | { readonly withheld: readonly OrderWithheld[] };

/** A number of an order that one mark alone says: it sells with that caution. */
export interface OrderCaution {
  readonly number: 'pitch' | 'gauge';
  readonly onMark: OnMark;
}

/** The numbers of an order that stand on one mark alone; chain and bar that say the same confirm each other. */
export function orderCautions({ chain, bar }: Identity): readonly OrderCaution[] {
  return (['pitch', 'gauge'] as const).flatMap((number): readonly OrderCaution[] => {
    const [own, other] = [ordered<string>(chain[number], bar[number]), bar[number]];
    const isConfirmed = chain[number].value !== null && chain[number].value === other.value;
    return own.onMark && !isConfirmed ? [{ number, onMark: own.onMark }] : [];
  });
}

/** Clashes that make it unclear which part the order should follow. */
const CLASHES: readonly FitRule[] = [
  'chain-pitch-is-sprocket-pitch',
  'chain-pitch-is-bar-pitch',
  'chain-pitch-is-nose-pitch',
  'chain-gauge-is-bar-gauge',
  'chain-links-are-bar-links',
];

/** The chain's own property; where nothing is known of it (no chain was brought), the bar's. */
function ordered<T>(chain: Identified<T>, bar: Identified<T>): Identified<T> {
  return chain.candidates.length === 0 && chain.status === 'open' ? bar : chain;
}

/**
 * Writes the order for a new chain, or says all that stands in the way. Pitch and gauge come from the chain, or from the bar where no
 * chain was brought; links must have been counted twice, stamp or no stamp. Parts that clash withhold the order: which of them is the wrong one is
 * for a person to say.
 */
export function decideOrder(identity: Identity, fit: readonly FitJudgement[], class_: ClassKnown): OrderOutcome {
  const pitch = ordered(identity.chain.pitch, identity.bar.pitch);
  const gauge = ordered(identity.chain.gauge, identity.bar.gauge);
  const links = identity.chain.driveLinks;
  const withheld: OrderWithheld[] = [];
  if (pitch.value === null)
    withheld.push({ code: 'not-settled', number: 'pitch', status: pitch.status === 'conflict' ? 'conflict' : 'open' });
  if (gauge.value === null)
    withheld.push({ code: 'not-settled', number: 'gauge', status: gauge.status === 'conflict' ? 'conflict' : 'open' });
  if (links.value === null)
    withheld.push(
      links.candidates.length === 0
        ? { code: 'links-not-counted' }
        : { code: 'not-settled', number: 'driveLinks', status: links.status === 'conflict' ? 'conflict' : 'open' },
    );
  for (const { rule, holds } of fit)
    if (holds === false && CLASHES.includes(rule)) withheld.push({ code: 'parts-clash', rule });
  if (withheld.length > 0 || pitch.value === null || gauge.value === null || links.value === null) return { withheld };
  return {
    order: { pitch: pitch.value, gauge: gauge.value, driveLinks: links.value, kickbackClass: orderedClass(class_) },
  };
}

/**
 * Low-kickback stays low-kickback; an untrained operator gets it whatever was on the saw; a trained one keeps the chain's class. Only a
 * recorded choice steps up.
 */
export function orderedClass({ kickbackClass, operatorTrained, kickbackChoice }: ClassKnown): KickbackClass | null {
  if (kickbackChoice) return 'standard';
  if (kickbackClass === 'low-kickback' || operatorTrained === false) return 'low-kickback';
  return kickbackClass;
}
