import type { FamilyId, GaugeId } from '../families';
import { classKnown, live, samePattern, type KickbackClass } from '../fit';
import { readStamp, stated, type Identified, type Identity } from '../identify';
import { listedLengths } from '../loop';
import { orderedClass } from '../order';
import { estimate, toInches } from '../quantity';
import type { Schools } from '../schools';
import type { StockPart } from '../stock';
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
  const { saw, bar, driveSprocket } = judged.sheet;
  return {
    mount: saw?.mount ?? bar?.mount ?? null,
    oilHole: saw?.oilHole ?? bar?.oilHole ?? null,
    listedInches: listedOf(judged),
    kickbackClass: orderedClass(classKnown(judged.sheet, schools)),
    noseTeeth: bar?.noseTeeth ?? null,
    sprocketTeeth: driveSprocket?.teeth ?? null,
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
