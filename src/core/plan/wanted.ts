import type { FamilyId, GaugeId } from '../families';
import { classKnown, live, samePattern, type KickbackClass } from '../fit';
import type { SprocketKind } from '../declared';
import { readStamp, stated, type Identified, type Identity, type Sequence } from '../identify';
import { listedLengths } from '../loop';
import { orderedClass } from '../order';
import { estimate, toInches } from '../quantity';
import type { Schools } from '../schools';
import { fitToSaw, USUAL_SEQUENCE, wantedOfDrive, type StockPart } from '../stock';
import type { Judged } from './choices';

/** What a part must be to go onto this saw, whatever is planned. */
export interface Wanted {
  readonly mount: string | null;
  readonly oilHole: string | null;
  /** Lengths that a bar for it may be listed as, inches; empty where nothing says it. */
  readonly listedInches: readonly number[];
  readonly kickbackClass: KickbackClass | null;
  readonly noseTeeth: number | null;
  readonly sprocketTeeth: number | null;
  /** Order of the cutters of its chain. */
  readonly sequence: Sequence | null;
  /** A rim is replaced by a rim, a spur by a spur. */
  readonly sprocketKind: SprocketKind | null;
  readonly splines: number | null;
  /** Bore of the drive sprocket, mm. */
  readonly bore: number | null;
  /** The saw, as the shop names it. */
  readonly saw: string | null;
}

/** Lengths that the bar may be sold as: as it is listed, else as it was measured, else as it is stamped. */
function listedOf({ sheet: { bar } }: Judged): readonly number[] {
  const listed = bar?.listedLength && estimate(bar.listedLength);
  if (listed) return [Math.round(toInches(listed.value))];
  const effective = bar?.effectiveLength && estimate(bar.effectiveLength);
  if (effective) return listedLengths(effective.value).map(({ inches }) => inches);
  const [stamped] = stated(readStamp(bar?.stamp ?? ''), 'listedLength');
  return stamped ? [Math.round(toInches(stamped.meaning.value))] : [];
}

export function wantedOf(judged: Judged, schools: Schools): Wanted {
  const { saw, bar } = judged.sheet;
  const { teeth, ...drive } = wantedOfDrive(judged.sheet);
  return {
    mount: saw?.mount ?? bar?.mount ?? null,
    oilHole: saw?.oilHole ?? bar?.oilHole ?? null,
    listedInches: listedOf(judged),
    kickbackClass: orderedClass(classKnown(judged.sheet, judged.identity, schools)),
    noseTeeth: bar?.noseTeeth ?? null,
    sprocketTeeth: teeth,
    sequence: judged.chain.sequence.ordered,
    ...drive,
  };
}

/**
 * Low-kickback chain suits every saw; standard chain only one whose class is settled as that: it is never stepped up in
 * silence.
 */
export const suitsClass = ({ kickbackClass }: StockPart, wanted: Wanted): boolean =>
  kickbackClass === 'low-kickback' || wanted.kickbackClass === 'standard';

/** Whether a bar goes onto this saw: its mount, its oil hole where both are known, its length where that is known. */
export function suitsSaw({ mount, oilHole, listedInches }: StockPart, wanted: Wanted): boolean {
  if (!wanted.mount || !mount || !samePattern(mount, wanted.mount)) return false;
  if (wanted.oilHole && oilHole && !samePattern(oilHole, wanted.oilHole)) return false;
  return wanted.listedInches.length === 0 || listedInches === null || wanted.listedInches.includes(listedInches);
}

/** A sequence as a chain has it: one that does not say it is full complement. */
const sequenceOf = ({ sequence }: StockPart): Sequence => sequence ?? USUAL_SEQUENCE;

/** Whether a chain is of the sequence that is wanted; where nobody knows it, of the usual one. */
export const suitsSequence = (part: StockPart, { sequence }: Wanted): boolean =>
  sequenceOf(part) === (sequence ?? USUAL_SEQUENCE);

/** Whether a part of the drive may sit on this saw: what is known of both does not differ. */
export function suitsDrive(part: StockPart, wanted: Wanted): boolean {
  const { sprocketKind } = part;
  if (sprocketKind !== null && wanted.sprocketKind !== null && sprocketKind !== wanted.sprocketKind) return false;
  return ['fits', 'not-known'].includes(fitToSaw(wanted, part));
}

/** Whether a part of the drive is known to sit on this saw, its kind included. */
export const isKnownToSit = (part: StockPart, wanted: Wanted): boolean =>
  fitToSaw(wanted, part) === 'fits' &&
  (part.kind !== 'drive-sprocket' || (part.sprocketKind !== null && part.sprocketKind === wanted.sprocketKind));

/** The numbers of the set as it came, as far as they are settled. */
export interface SetNumbers {
  readonly pitch: FamilyId | null;
  readonly gauge: GaugeId | null;
  readonly driveLinks: number | null;
}

/**
 * What a part says itself; of one that says nothing, or leaves it open, what the other says that it does not
 * contradict. A contradiction settles nothing.
 */
function said<T>(own: Identified<T>, other: Identified<T>): T | null {
  if (own.value !== null || own.status === 'conflict') return own.value;
  const { value } = other;
  return value !== null && (own.candidates.length === 0 || live(own).includes(value)) ? value : null;
}

/**
 * What a chain for the bar that stays must be: the bar's own numbers, else those of the chain that ran on it. Links
 * count only as they were counted: a stamp is no count.
 */
export const numbersOfSet = ({ bar, chain }: Pick<Identity, 'bar' | 'chain'>): SetNumbers => ({
  pitch: said(bar.pitch, chain.pitch),
  gauge: said(bar.gauge, chain.gauge),
  driveLinks: chain.driveLinks.value,
});
