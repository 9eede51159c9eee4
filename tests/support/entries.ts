import fc from 'fast-check';
import { FIELD_KINDS } from '../../src/core/quantity';
import type { Place } from '../../src/core/reading';
import { readingAt, SHEET, type Entry } from '../../src/core/sheet';
import { anyCase, drawn } from './cases';

/** Members of each list that are typed into. */
const MEMBERS = 3;

/** Every place that can be typed into, found in the catalogue, so that a new reading is tried from its first day. */
function placesUnder(place: Place, path: string): readonly string[] {
  if (place.is === 'reading') return [path];
  if (place.is === 'list')
    return Array.from({ length: MEMBERS }, (_, i) => placesUnder(place.item, `${path}.${i}`)).flat();
  return [...place.members].flatMap(([key, member]) => placesUnder(member, path === '' ? key : `${path}.${key}`));
}

/** All places of the bench sheet, lists with their first members. */
export const PLACES = placesUnder(SHEET, '');

const STAMPS = ['18 in 325 .050 72DL', '3/8 .058', '3/8LP 52E', '.404 1.6', '72', 'K-77', 'M2', 'O1'];

/** What somebody could type at a place and be understood. */
export function fitting(path: string): fc.Arbitrary<string> {
  const { kind } = readingAt(path)!;
  switch (kind.kind) {
    case 'length': {
      const { lo, hi } = FIELD_KINDS[kind.spec.kind];
      return fc
        .integer({ min: Math.ceil(lo * 100), max: Math.floor(hi * 100) })
        .map((hundredths) => `${hundredths / 100} mm`);
    }
    case 'count':
      return fc.integer({ min: Math.max(5, kind.from), max: Math.min(12, kind.to) }).map(String);
    case 'number':
      return fc.integer({ min: Math.min(1000, kind.from), max: Math.min(14000, kind.to) }).map(String);
    case 'choice':
      return fc.constantFrom(...kind.options);
    case 'choices':
      return fc
        .subarray([...kind.options], { minLength: 1, maxLength: Math.min(6, kind.most) })
        .map((chosen) => chosen.join(', '));
    case 'yes-no':
      return fc.constantFrom('yes', 'no');
    case 'text':
      return fc.constantFrom(...STAMPS);
  }
}

/** What is typed at a place in a case: of the case and the place alone. */
const entryAt = (path: string, seed: number): Entry => ({
  path,
  text: fc.sample(fitting(path), { seed: Math.floor(drawn(seed, path) * 2 ** 31), numRuns: 1 })[0]!,
  unit: 'mm',
});

/** Entries at any places of the sheet at all, each understood, no place twice. */
export const anyEntries: fc.Arbitrary<readonly Entry[]> = anyCase.map(({ seed, kept }) => {
  const share = kept * drawn(seed, 'share');
  const chosen = PLACES.filter((path) => drawn(seed, `${path} stands`) < share);
  return (chosen.length > 0 ? chosen : PLACES.slice(0, 1)).map((path) => entryAt(path, seed));
});
