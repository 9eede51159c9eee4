import type { Around, GroupPlace, IdleReason, Place } from '../reading';
import { SHEET, type Askable } from './places';
import type { BenchSheet } from './bench-sheet';

/** A reading, or a group that counts as one, that may move nothing, and why that is so. */
export interface IdleReading {
  readonly measure: Askable;
  readonly reason: Reason;
}

/** The reasons of the catalogue, with the readings they name as places of the sheet. */
type Reason =
  Exclude<IdleReason, { code: 'goes-with' }> | { readonly code: 'goes-with'; readonly readings: readonly Askable[] };

/** What every reading's reason may depend on beside the group that it stands in. */
interface Facts {
  readonly hasLink: boolean;
  readonly nose: 'sprocket' | 'hard';
}

const toldOf = (place: Place) => (place.is === 'reading' ? place.reading.told : place.told);

/** Why a member of a group may move nothing; null where it moves something, or its own members say it. */
function reasonOf(place: Place, group: Around['group'], { hasLink, nose }: Facts): IdleReason | null {
  const { idle, nose: ownNose } = toldOf(place);
  if (place.is === 'reading' && ownNose !== undefined && ownNose !== nose) return { code: 'other-nose' };
  return typeof idle === 'function' ? idle({ group, hasLink }) : (idle ?? null);
}

/** Gathers what is idle within a group, by the members that stand. */
function gather(place: GroupPlace, group: Around['group'], path: string, facts: Facts, into: IdleReading[]): void {
  for (const key in group) {
    const member = place.members.get(key);
    const value = group[key];
    if (!member || value === undefined) continue;
    const at = path === '' ? key : `${path}.${key}`;
    const reason = reasonOf(member, group, facts);
    if (reason) into.push({ measure: at as Askable, reason: reason as Reason });
    else within(member, value, at, facts, into);
  }
}

function within(place: Place, value: unknown, path: string, facts: Facts, into: IdleReading[]): void {
  if (place.is === 'group') gather(place, value as Around['group'], path, facts, into);
  else if (place.is === 'list' && place.item.is !== 'reading')
    (value as readonly unknown[]).forEach((each, i) => within(place.item, each, `${path}.${i}`, facts, into));
}

/**
 * Readings that stand on a sheet and may move nothing, each with the reason that is told where it is declared. What is
 * not named here moves the assessment when it is taken off: no reading vanishes in silence.
 * @param hasLink whether anything tells the link that widths are held against
 */
export function idleReadings(sheet: BenchSheet, hasLink: boolean): readonly IdleReading[] {
  const found: IdleReading[] = [];
  const nose = sheet.bar?.nose === 'hard' ? 'hard' : 'sprocket';
  gather(SHEET, { ...sheet }, '', { hasLink, nose }, found);
  return found;
}
