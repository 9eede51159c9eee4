import { instrumentsAt, type InstrumentId } from './instrument';
import { MM_PER_INCH } from './length';

/**
 * What kind of length a field holds. It decides which values are plausible at all, and so how a number typed without a
 * unit may be read, and the tools that it is measured with on a bench, the usual ones first.
 */
export const FIELD_KINDS = {
  gauge: { lo: 0.8, hi: 2.3, name: 'gauge', tools: ['caliper', 'slot-gauge'] },
  thickness: { lo: 0.5, hi: 2.3, name: 'drive-link thickness', tools: ['caliper', 'slot-gauge'] },
  grooveWidth: { lo: 0.8, hi: 4, name: 'groove width', tools: ['caliper', 'slot-gauge', 'feeler'] },
  barThickness: { lo: 2.5, hi: 8, name: 'bar thickness', tools: ['caliper', 'rule'] },
  depth: { lo: 0, hi: 25, name: 'groove depth', tools: ['depth-rod', 'depth-marks', 'caliper'] },
  tang: { lo: 1, hi: 15, name: 'drive-link tang', tools: ['caliper', 'depth-rod', 'rule'] },
  kerf: { lo: 3, hi: 15, name: 'kerf', tools: ['caliper', 'rule'] },
  cutter: { lo: 0, hi: 20, name: 'cutter length', tools: ['caliper', 'rule'] },
  gaugeHeight: { lo: 0, hi: 4, name: 'depth-gauge height', tools: ['feeler', 'depth-rod', 'caliper'] },
  topPlate: { lo: 1, hi: 15, name: 'top-plate width', tools: ['caliper', 'rule'] },
  smallDefect: { lo: 0, hi: 10, name: 'wear or bow', tools: ['feeler', 'depth-rod', 'caliper'] },
  bodyHeight: { lo: 20, hi: 150, name: 'bar height', tools: ['caliper', 'rule'] },
  station: { lo: 0, hi: 3000, name: 'position along the bar', tools: ['rule', 'tape'] },
  barLength: { lo: 100, hi: 3000, name: 'bar length', tools: ['rule', 'tape'] },
  pitch: { lo: 5, hi: 21, name: 'pitch', tools: ['caliper', 'rule'] },
  span: { lo: 5, hi: 3000, name: 'span over rivets', tools: ['caliper', 'rule', 'template'] },
  push: { lo: 50, hi: 3000, name: 'push-and-pull length', tools: ['tape', 'rule', 'caliper'] },
  file: { lo: 3, hi: 8, name: 'file diameter', tools: ['caliper', 'rule'] },
  loop: { lo: 300, hi: 6000, name: 'length round the loop', tools: ['tape', 'rule'] },
  centres: { lo: 80, hi: 2500, name: 'distance between centres', tools: ['tape', 'rule'] },
  chip: { lo: 0, hi: 200, name: 'length of a chip', tools: ['rule', 'caliper'] },
  block: {
    lo: 0,
    hi: 3000,
    name: 'size of a block',
    tools: ['caliper', 'depth-rod', 'depth-marks', 'feeler', 'slot-gauge', 'template', 'rule', 'tape'],
  },
  lift: { lo: 0, hi: 80, name: 'lift at mid-bar', tools: ['rule', 'caliper'] },
  cutDepth: { lo: 20, hi: 2000, name: 'depth of a cut', tools: ['rule', 'tape'] },
  cutDrift: { lo: 0, hi: 400, name: 'drift of a cut', tools: ['rule', 'caliper'] },
  bore: { lo: 5, hi: 60, name: 'bore', tools: ['caliper', 'rule'] },
  noseRadius: { lo: 8, hi: 90, name: 'nose radius', tools: ['rule', 'caliper'] },
} as const satisfies Record<
  string,
  { lo: number; hi: number; name: string; tools: readonly [InstrumentId, ...InstrumentId[]] }
>;

/** Names a row of {@link FIELD_KINDS}. */
export type FieldKind = keyof typeof FIELD_KINDS;

/**
 * The tools that are offered for a reading, the usual ones of its kind first.
 * @param reading which one, whatever edge or member of a list: `bar.checks.bow`
 */
export const toolsAt = (kind: FieldKind, reading: string): readonly InstrumentId[] => [
  ...FIELD_KINDS[kind].tools,
  ...instrumentsAt(reading),
];

/** Plausible range of a field, in millimetres. A value outside is refused with this range named. */
export function plausibleRange(kind: FieldKind): { lo: number; hi: number } {
  const { lo, hi } = FIELD_KINDS[kind];
  return { lo, hi };
}

/** The units a bare number may stand for in a field, by custom of the trade. Thousandths only where gauges live. */
export function bareUnits(kind: FieldKind): readonly BareUnit[] {
  return kind === 'gauge' || kind === 'thickness' || kind === 'grooveWidth' ? ['mm', 'in', 'thou'] : ['mm', 'in'];
}

/** A unit that a bare number may be read in. */
export type BareUnit = 'mm' | 'in' | 'thou';

/** Millimetres in one of the unit. */
export const UNIT_MM = { mm: 1, cm: 10, in: MM_PER_INCH, thou: MM_PER_INCH / 1000 } as const;
