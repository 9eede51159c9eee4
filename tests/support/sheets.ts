import fc from 'fast-check';
import { FIELD_KINDS, type FieldKind } from '../../src/core/quantity';
import type { Place, Reading } from '../../src/core/reading';
import { SHEET, type WrittenBenchSheet } from '../../src/core/sheet';

/**
 * What parts on a bench usually measure, mm, so that sheets are about limits and not about nonsense. A kind that is not
 * named here may have any plausible value.
 */
const USUAL: Partial<Record<FieldKind, readonly [number, number]>> = {
  depth: [3, 10],
  grooveWidth: [1, 2],
  station: [20, 600],
  smallDefect: [0, 1],
  cutter: [0, 9],
  push: [300, 520],
  span: [6, 200],
  thickness: [1, 1.8],
  barLength: [300, 700],
};

const STAMPS = ['18 in 325 .050 72DL', '3/8 .058', '3/8LP 52E', '.404 1.6', '50', 'K-77', 'M1', 'M2', ''];

/** Counts are about this many, or what their range allows. */
const ABOUT = [50, 53] as const;

function writtenReading({ kind }: Reading): fc.Arbitrary<unknown> {
  switch (kind.kind) {
    case 'length': {
      const { lo, hi } = FIELD_KINDS[kind.spec.kind];
      const [from, to] = USUAL[kind.spec.kind] ?? [lo, hi];
      return fc
        .integer({ min: Math.ceil(from * 100), max: Math.floor(to * 100) })
        .map((hundredths) => `${hundredths / 100} mm`);
    }
    case 'count': {
      const [from, to] = kind.to < ABOUT[1] ? [kind.from, kind.to] : [Math.max(kind.from, ABOUT[0]), ABOUT[1]];
      return fc.oneof(fc.integer({ min: from, max: to }), fc.integer({ min: kind.from, max: Math.min(9, kind.to) }));
    }
    case 'number':
      return fc.integer({ min: Math.min(1000, kind.from), max: Math.min(14000, kind.to) });
    case 'choice':
      return fc.constantFrom(...kind.options);
    case 'choices':
      return fc.subarray([...kind.options], { minLength: 1, maxLength: Math.min(6, kind.most) });
    case 'yes-no':
      return fc.boolean();
    case 'text':
      return fc.constantFrom(...STAMPS);
  }
}

/** One reading in so many is left out. */
const LEFT_OUT = 3;
const MOST_MEMBERS = 3;
const MOST_STATIONS = 6;

/** Anything that may stand at a place, as the catalogue declares it: a new reading is tried from its first day. */
function writtenAt(place: Place): fc.Arbitrary<unknown> {
  if (place.is === 'reading') return writtenReading(place.reading);
  if (place.is === 'list')
    return fc.array(writtenAt(place.item), { maxLength: place.orderedBy === null ? MOST_MEMBERS : MOST_STATIONS });
  const members = [...place.members].map(([key, member]) => {
    const any = writtenAt(member);
    return [key, place.must.includes(key) ? any : fc.option(any, { nil: undefined, freq: LEFT_OUT })] as const;
  });
  return fc.record(Object.fromEntries(members));
}

/** Takes out what is undefined, as JSON would. */
const tidy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Any half-finished bench sheet a bench could produce. */
export const anySheet: fc.Arbitrary<WrittenBenchSheet> = writtenAt(SHEET).map(
  (parts) => tidy({ format: 'serrata-bench-sheet', version: 1, ...(parts as object) }) as WrittenBenchSheet,
);

const OTHER: Readonly<Record<string, string>> = {
  near: 'far',
  far: 'near',
  burrNear: 'burrFar',
  burrFar: 'burrNear',
  chipNear: 'chipFar',
  chipFar: 'chipNear',
  'near-high': 'far-high',
  'far-high': 'near-high',
};

const swapped = (value: unknown): unknown => {
  if (typeof value === 'string') return OTHER[value] ?? value;
  if (Array.isArray(value)) return value.map(swapped);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [OTHER[key] ?? key, swapped(each)]));
};

/** The same sheet seen in a mirror: near for far on every station, whatever is said of it. */
export function mirrored(written: WrittenBenchSheet): WrittenBenchSheet {
  const copy = structuredClone(written);
  if (copy.bar?.edges) copy.bar.edges = swapped(copy.bar.edges) as NonNullable<typeof copy.bar.edges>;
  return copy;
}
