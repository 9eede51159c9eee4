import { flatMap } from '../flat-map';
import type { FamilyId, GaugeId } from '../families';
import type { ClassKnown, FitJudgement, FitRule, KickbackClass } from '../fit';
import type { SprocketKind } from '../declared';
import type { Identified, Identity, OnMark, Sequence } from '../identify';

/** The three numbers that order a chain, and the class it must not be stepped up from. */
export interface ChainNumbers {
  readonly pitch: FamilyId;
  readonly gauge: GaugeId;
  readonly driveLinks: number;
  /** Null when neither the chain nor the operator's training is known: then it must be asked. */
  readonly kickbackClass: KickbackClass | null;
  /** Order of the cutters; null where they were neither counted nor named. */
  readonly sequence: Sequence | null;
}

/** An order, with what must go on with the chain. */
export interface ChainOrder extends ChainNumbers {
  /**
   * The drive sprocket that must go on with the chain, because the one that came is past its limit; null where it may
   * stay.
   */
  readonly driveSprocket: SprocketOrder | null;
}

/** A drive sprocket as it is ordered: teeth and kind are null where nobody has said them. */
export interface SprocketOrder {
  readonly pitch: FamilyId;
  readonly teeth: number | null;
  readonly type: SprocketKind | null;
  readonly splines: number | null;
}

/** Why no order can be written yet. */
export type OrderWithheld =
  | {
      readonly code: 'not-settled';
      readonly number: 'pitch' | 'gauge' | 'driveLinks';
      readonly status: 'open' | 'conflict';
    }
  | { readonly code: 'links-not-counted' }
  /** A chain alone on a drive sprocket past its limit is a failed plan. */
  | { readonly code: 'sprocket-worn' }
  | { readonly code: 'parts-clash'; readonly rule: FitRule };

export type OrderOutcome = { readonly order: ChainOrder } | { readonly withheld: readonly OrderWithheld[] };

/** A number of an order that one mark alone says: it sells with that caution. */
export interface OrderCaution {
  readonly number: 'pitch' | 'gauge';
  readonly onMark: OnMark;
}

/** The numbers of an order that stand on one mark alone; chain and bar that say the same confirm each other. */
export function orderCautions({ chain, bar }: Identity): readonly OrderCaution[] {
  return flatMap(['pitch', 'gauge'] as const, (number): readonly OrderCaution[] => {
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
 * Writes the order for a new chain, or says all that stands in the way. Pitch and gauge come from the chain, or from
 * the bar where no chain was brought; links must have been counted twice, stamp or no stamp. Parts that clash withhold
 * the order: which of them is the wrong one is for a person to say. A drive sprocket past its limit withholds it too,
 * until a new one is said to go on with the chain.
 */
export function decideOrder(
  identity: Identity,
  fit: readonly FitJudgement[],
  class_: ClassKnown,
  sprocket: SprocketSheet,
  sequence: Sequence | null,
): OrderOutcome {
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
  const needsSprocket = fit.some(
    ({ rule, reason }) => rule === 'sprocket-takes-new-chain' && GOES_WITH_SPROCKET.includes(reason.code),
  );
  const isPlanned = fit.some(({ rule, reason }) => rule === 'sprocket-takes-new-chain' && reason.code === 'by-plan');
  if (needsSprocket && !isPlanned && sprocket.renewed !== true) withheld.push({ code: 'sprocket-worn' });
  if (withheld.length > 0 || pitch.value === null || gauge.value === null || links.value === null) return { withheld };
  return {
    order: {
      pitch: pitch.value,
      gauge: gauge.value,
      driveLinks: links.value,
      kickbackClass: orderedClass(class_),
      sequence,
      driveSprocket: needsSprocket
        ? {
            pitch: pitch.value,
            teeth: sprocket.teeth,
            type: sprocket.type,
            splines: sprocket.splines,
          }
        : null,
    },
  };
}

/** The chain goes on with a new drive sprocket: the old one is past its limit, or the signed plan renews it. */
const GOES_WITH_SPROCKET: readonly FitJudgement['reason']['code'][] = ['sprocket-worn', 'by-plan'];

/** What a sheet says of the drive sprocket that an order may need. */
type SprocketSheet = Omit<SprocketOrder, 'pitch'> & { readonly renewed: boolean | undefined };

/**
 * Low-kickback stays low-kickback; an untrained operator gets it whatever was on the saw; a trained one keeps the
 * chain's class. Only a recorded choice steps up, and for the untrained not even that where the shop is of that school.
 * Where professionals choose freely, the class of a trained one is asked: null.
 */
export function orderedClass({
  kickbackClass,
  operatorTrained,
  kickbackChoice,
  classSchool,
}: ClassKnown): KickbackClass | null {
  const mayChoose = classSchool !== 'trained-only' || operatorTrained === true;
  if (kickbackChoice && mayChoose) return 'standard';
  if (classSchool === 'professionals-free' && operatorTrained === true)
    return kickbackClass === 'standard' ? 'standard' : null;
  if (kickbackClass === 'low-kickback' || operatorTrained === false) return 'low-kickback';
  return kickbackClass;
}
