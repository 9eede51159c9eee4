import type { Part } from '../reading';
import { NEEDS, valuesAt, type Askable, type BenchSheet } from '../sheet';

/** Whether anything at all is said of a part. */
export function brought(sheet: BenchSheet, part: Part): boolean {
  if (part === 'driveSprocket') return sheet.driveSprocket !== undefined;
  if (part === 'chain') return sheet.chain !== undefined;
  return sheet.bar !== undefined;
}

/** The readings that must exist before a part can be called keep, clean or recondition, and do not. */
export function missingReadings(sheet: BenchSheet, part: Part): readonly Askable[] {
  const nose = sheet.bar?.nose === 'hard' ? 'hard' : 'sprocket';
  return NEEDS.filter((need) => need.by.includes(part) && (need.nose === null || need.nose === nose))
    .filter(({ places, enough }) => !places.some((keys) => valuesAt(sheet, keys).some(enough)))
    .map(({ asks }) => asks);
}
