import { flatMap } from '../flat-map';
import { PARTS, type Part } from '../reading';
import { NEEDS, valuesAt, type Askable, type BenchSheet } from '../sheet';

/** Whether anything at all is said of a part. */
export function brought(sheet: BenchSheet, part: Part): boolean {
  if (part === 'driveSprocket') return sheet.driveSprocket !== undefined;
  if (part === 'chain') return sheet.chain !== undefined;
  return sheet.bar !== undefined;
}

/** Parts that come with what was put on the counter. */
const COMES_WITH: Readonly<Record<string, readonly Part[]>> = {
  'whole-saw': PARTS,
  bar: ['bar', 'nose'],
  chain: ['chain'],
  'drive-sprocket': ['driveSprocket'],
};

/** Parts to be judged: those that something is said of, and those that were brought and nobody has looked at yet. */
export function judgedParts(sheet: BenchSheet): readonly Part[] {
  const came = flatMap(sheet.job?.brought ?? [], (what) => COMES_WITH[what] ?? []);
  return PARTS.filter((part) => came.includes(part) || brought(sheet, part));
}

/** The readings that must exist before a part can be called keep, clean or recondition, and do not. */
export function missingReadings(sheet: BenchSheet, part: Part): readonly Askable[] {
  const nose = sheet.bar?.nose === 'hard' ? 'hard' : 'sprocket';
  return NEEDS.filter((need) => need.by.includes(part) && (need.nose === null || need.nose === nose))
    .filter(({ places, enough }) => !places.some((keys) => valuesAt(sheet, keys).some(enough)))
    .map(({ asks }) => asks);
}
