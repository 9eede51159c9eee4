import { readStamp, stated } from '../identify';
import { estimate } from '../quantity';
import type { BenchSheet } from '../sheet';
import type { Need } from './need';
import type { StockPart } from './stock-part';

/** What a new part of the drive must be to sit on this saw: as the saw is known, else as what came off it is. */
export function wantedOfDrive({
  saw,
  driveSprocket,
}: BenchSheet): Pick<Need, 'teeth' | 'sprocketKind' | 'splines' | 'bore' | 'saw'> {
  const [stamped] = stated(readStamp(driveSprocket?.stamp ?? ''), 'teeth');
  return {
    teeth: driveSprocket?.teeth ?? stamped?.meaning.value ?? null,
    sprocketKind: driveSprocket?.type ?? saw?.sprocketKind ?? null,
    splines: saw?.splines ?? driveSprocket?.splines ?? null,
    bore: (driveSprocket?.bore && estimate(driveSprocket.bore)?.value) ?? null,
    saw: saw?.label?.trim() || null,
  };
}

/** What a part of the drive and a saw have in common. */
export type SawProperty = 'splines' | 'bore';

/** What of a part of the drive, and of the saw it is to go on, says whether it sits there. */
type OnSaw = Pick<StockPart, 'splines' | 'bore' | 'saw'>;

/** Bores that differ by more are two bores, mm (shop's figure): a caliper in a bore reads a little small. */
const SAME_BORE = 0.3;

const isSame = (property: SawProperty, a: number, b: number): boolean =>
  property === 'bore' ? Math.abs(a - b) <= SAME_BORE : a === b;

/** Whether a list of saws names this one: as a whole word of its name. */
function namesSaw(list: string, saw: string): boolean {
  const words = (text: string) =>
    ` ${text
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim()} `;
  return list.split(';').some((each) => words(each).trim() !== '' && words(saw).includes(words(each)));
}

/**
 * Whether a part of the drive sits on a saw: by its splines, its bore, or the saws it is named for. What differs is
 * named; where nothing can be compared, it is not known.
 */
export function fitToSaw(
  need: Pick<Need, 'splines' | 'bore' | 'saw'>,
  part: OnSaw,
): 'fits' | 'not-known' | SawProperty {
  let isKnown = false;
  for (const property of ['splines', 'bore'] as const) {
    const [wanted, has] = [need[property], part[property]];
    if (wanted === null || has === null) continue;
    if (!isSame(property, wanted, has)) return property;
    isKnown = true;
  }
  if (isKnown) return 'fits';
  return need.saw !== null && part.saw !== null && namesSaw(part.saw, need.saw) ? 'fits' : 'not-known';
}
