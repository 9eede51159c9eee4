import type fc from 'fast-check';
import { FIELD_KINDS, type FieldKind } from '../../src/core/quantity';
import type { Place, Reading } from '../../src/core/reading';
import { SHEET, type WrittenBenchSheet } from '../../src/core/sheet';
import { anyCase, drawn, type Case } from './cases';

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

const whole = (share: number, from: number, to: number): number => from + Math.floor(share * (to - from + 1));
const oneOf = <T>(share: number, all: readonly T[]): T => all[whole(share, 0, all.length - 1)]!;

function writtenReading({ kind }: Reading, share: (of: string) => number): unknown {
  switch (kind.kind) {
    case 'length': {
      const { lo, hi } = FIELD_KINDS[kind.spec.kind];
      const [from, to] = USUAL[kind.spec.kind] ?? [lo, hi];
      return `${whole(share('value'), Math.ceil(from * 100), Math.floor(to * 100)) / 100} mm`;
    }
    case 'count': {
      const [from, to] = kind.to < ABOUT[1] ? [kind.from, kind.to] : [Math.max(kind.from, ABOUT[0]), ABOUT[1]];
      return share('is usual') < 0.5
        ? whole(share('value'), from, to)
        : whole(share('value'), kind.from, Math.min(9, kind.to));
    }
    case 'number':
      return whole(share('value'), Math.min(1000, kind.from), Math.min(14000, kind.to));
    case 'choice':
      return oneOf(share('value'), kind.options);
    case 'choices': {
      const many = whole(share('many'), 1, Math.min(6, kind.most, kind.options.length));
      const ranked = [...kind.options].sort((a, b) => share(a) - share(b)).slice(0, many);
      return kind.options.filter((option) => ranked.includes(option));
    }
    case 'yes-no':
      return share('value') < 0.5;
    case 'text':
      return oneOf(share('value'), STAMPS);
  }
}

/** One reading in so many is left out. */
const LEFT_OUT = 3;
const MOST_MEMBERS = 3;
const MOST_STATIONS = 6;

/** Anything that may stand at a place, as the catalogue declares it: a new reading is tried from its first day. */
function writtenAt(place: Place, id: string, { seed, kept }: Case): unknown {
  const share = (of: string) => drawn(seed, `${id} ${of}`);
  if (place.is === 'reading') return writtenReading(place.reading, share);
  if (place.is === 'list') {
    const many = whole(share('members'), 0, place.orderedBy === null ? MOST_MEMBERS : MOST_STATIONS);
    return Array.from({ length: many }, (_, i) => writtenAt(place.item, `${id}.${i}`, { seed, kept }));
  }
  const members = [...place.members].map(([key, member]) => {
    const at = `${id}.${key}`;
    const stands = place.must.includes(key) || drawn(seed, `${at} stands`) < kept * (1 - 1 / LEFT_OUT);
    return [key, stands ? writtenAt(member, at, { seed, kept }) : undefined] as const;
  });
  return Object.fromEntries(members);
}

/** Takes out what is undefined, as JSON would. */
const tidy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Any half-finished bench sheet a bench could produce. */
export const anySheet: fc.Arbitrary<WrittenBenchSheet> = anyCase.map((each) => {
  const parts = writtenAt(SHEET, '', each) as object;
  return tidy({ format: 'serrata-bench-sheet', version: 1, ...parts }) as WrittenBenchSheet;
});

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
