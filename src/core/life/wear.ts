import type { Edge } from '../declared';
import type { Check } from '../judge';
import type { Limits } from '../limits';
import type { Part } from '../reading';
import type { Rate } from './line';
import type { LimitSide } from './forecast';
import type { Marks } from './marks';

/** What wears on a part, and which way. */
interface WearKind {
  readonly part: Part;
  readonly side: LimitSide;
  readonly unit: 'mm' | '%';
  /** What the shop's figures take, and in how many hours, on average. */
  readonly usual: (limits: Limits) => { readonly by: number; readonly hours: number };
  /** The limit in force; null where it hangs on what is not known of the piece. */
  readonly limit: (limits: Limits, marks: Marks) => number | null;
}

/** What is followed from job to job, by the check that judges it. */
export const WEARS = {
  /** Depth at the weakest place; each dressing takes its share. */
  'bar.depth': {
    part: 'bar',
    side: 'min',
    unit: 'mm',
    usual: (limits) => ({ by: limits['bar.dress.loss'].value, hours: limits['plan.life.dressing'].value }),
    limit: (limits, { pitch }) => (pitch ? limits[`bar.depth.${pitch}`].value : null),
  },
  'bar.play': {
    part: 'bar',
    side: 'max',
    unit: 'mm',
    usual: (limits) => ({ by: limits['bar.play'].value, hours: limits['plan.life.bar'].value }),
    limit: (limits) => limits['bar.play'].value,
  },
  /** The shortest cutter; filing takes it. */
  'chain.cutter': {
    part: 'chain',
    side: 'min',
    unit: 'mm',
    usual: (limits) => ({ by: limits['chain.filing-loss'].value, hours: limits['chain.filing-hours'].value }),
    limit: (limits) => limits['chain.cutter'].value,
  },
  'chain.elongation': {
    part: 'chain',
    side: 'max',
    unit: '%',
    usual: (limits) => ({ by: limits['chain.elongation.watch'].value, hours: limits['plan.life.chain'].value }),
    limit: (limits) => limits['chain.elongation'].value,
  },
  'sprocket.wear': {
    part: 'driveSprocket',
    side: 'max',
    unit: 'mm',
    usual: (limits) => ({ by: limits['sprocket.wear'].value, hours: limits['plan.life.driveSprocket'].value }),
    limit: (limits) => limits['sprocket.wear'].value,
  },
} as const satisfies Readonly<Record<string, WearKind>>;

export type WearId = keyof typeof WEARS;
export const WEAR_IDS = Object.keys(WEARS) as WearId[];

/** What of a part is followed. */
export const wearsOf = (part: Part): readonly WearId[] => WEAR_IDS.filter((id) => WEARS[id].part === part);

/** A measured value with its standard uncertainty. */
export interface WornValue {
  readonly value: number;
  readonly u: number;
  /** Where on a bar it was, mm from the tail; left out of what is no place. */
  readonly where?: { readonly edge: Edge; readonly at: number };
}

/** What was measured of all that is followed. */
export type Worn = Readonly<Partial<Record<WearId, WornValue>>>;

/** Where one look tells no doubt, it has at least this, in its unit: no reading is exact. */
const LEAST_U = 0.005;

/**
 * What checks measured of what is followed: of each the value nearest its limit. Bounds are no values, and what was
 * foreseen nobody measured.
 */
export function wornBy(checks: readonly Check[]): Worn {
  const worn: Partial<Record<WearId, WornValue>> = {};
  for (const { id: any, value, uncertainty, bound, note, at } of checks) {
    const id = WEAR_IDS.find((each) => each === any);
    if (!id || value === null || uncertainty === null || bound !== null || note?.code === 'foreseen') continue;
    const before = worn[id];
    const isWorse = !before || (WEARS[id].side === 'min' ? value < before.value : value > before.value);
    const where = at?.mm === undefined ? {} : { where: { edge: at.edge, at: at.mm } };
    if (isWorse) worn[id] = { value, u: Math.max(LEAST_U, uncertainty), ...where };
  }
  return worn;
}

/** Figures that a shop has set to nothing are as near to it as can be reckoned with. */
const LEAST_HOURS = 0.1;
const LEAST_RATE = 1e-6;

/**
 * What such pieces lose or gain an hour, by the shop's figures: the same that its plans count hours with. Pieces differ
 * by a share of it.
 */
export function usualRate(id: WearId, limits: Limits): Rate {
  const { usual, side } = WEARS[id];
  const { by, hours } = usual(limits);
  const rate = by / Math.max(LEAST_HOURS, hours);
  const u = Math.max(LEAST_RATE, rate * (limits['life.spread'].value / 100));
  return { value: side === 'min' ? -rate : rate, u };
}
