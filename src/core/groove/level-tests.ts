import { flatMap } from '../flat-map';
import { CONTRADICTS_BELOW } from '../belief';
import { normalCdf } from '../quantity';
import type { EdgeSheet } from '../sheet';
import type { Station } from './station';
import type { Edge, Rail } from '../declared';

/** A clean bar stood on its edge on a flat surface: it stands, or falls to a side. */
export type Stands = NonNullable<EdgeSheet['stands']>;
/** How both edges stood. */
export type EdgeStands = Readonly<Record<Edge, Stands | null>>;

/** What a level test answers: that the rails are level, or which one is the high one. */
export type LevelAnswer = 'level' | Rail;

/**
 * What each test can show of a step: from how large a step on it answers that a rail is high, and how much that wavers,
 * mm.
 */
interface Power {
  readonly from: number;
  readonly spread: number;
}

/**
 * The powers of the level tests (shop's figures, model §18). Light under a square is seen from a few hundredths; a
 * blade of 0.10 mm slipped under its low side does not go in where nothing is to be filed; ink shows a few hundredths
 * that need no work; a bar on its edge averages the whole edge.
 */
export const LEVEL_TEST_POWER = {
  square: { from: 0.07, spread: 0.03 },
  blade: { from: 0.1, spread: 0.02 },
  marker: { from: 0.06, spread: 0.03 },
  stands: { from: 0.08, spread: 0.04 },
} as const satisfies Record<string, Power>;
export type LevelTestKind = keyof typeof LEVEL_TEST_POWER;

/** One answer in so many is a blunder, whatever the step: shared alike over the three answers (shop's figure). */
const BLUNDER = 0.03;
const ANSWERS = 3;

/**
 * How likely a test answers so at a step: `P = 0.97·p + 0.01`, p a normal threshold.
 * @param step near less far, mm
 * @example chanceOfAnswer('square', 'near', 0.2) // 0.98
 */
export function chanceOfAnswer(kind: LevelTestKind, says: LevelAnswer, step: number): number {
  const { from, spread } = LEVEL_TEST_POWER[kind];
  const near = normalCdf((step - from) / spread);
  const far = normalCdf((-step - from) / spread);
  const shown = says === 'near' ? near : says === 'far' ? far : 1 - near - far;
  return (1 - BLUNDER) * shown + BLUNDER / ANSWERS;
}

/** A level test that was made: at a station, or of the whole edge. */
export interface LevelTest {
  readonly kind: LevelTestKind;
  readonly says: LevelAnswer;
  /** The station where it was made, as the sheet numbers it; null for the whole edge. */
  readonly station: number | null;
  /** Where, mm from the tail; null for the whole edge. */
  readonly at: number | null;
}

/** The check that tells whether a test agrees with all else. */
export const TEST_CHECK = {
  square: 'bar.square',
  blade: 'bar.square',
  marker: 'bar.marker',
  stands: 'bar.stands',
} as const satisfies Record<LevelTestKind, string>;

const SQUARE_SAYS = { level: 'level', 'near-high': 'near', 'far-high': 'far' } as const;
/** A pass that touched one rail only found the high one; one that touched neither says nothing. */
const MARKER_SAYS = { both: 'level', near: 'near', far: 'far', none: null } as const;
/** It falls to the side of its low rail. */
const STANDS_SAYS = { yes: 'level', near: 'far', far: 'near' } as const;

function testsAt({ index, at, square, squareWith, marker }: Station): readonly LevelTest[] {
  const touched = marker && MARKER_SAYS[marker];
  return [
    ...(square
      ? [{ kind: squareWith === 'blade' ? 'blade' : 'square', says: SQUARE_SAYS[square], station: index, at } as const]
      : []),
    ...(touched ? [{ kind: 'marker', says: touched, station: index, at } as const] : []),
  ];
}

/** All level tests of an edge. */
export function levelTestsOf(stations: readonly Station[], stands: Stands | null): readonly LevelTest[] {
  return [
    ...flatMap(stations, testsAt),
    ...(stands ? [{ kind: 'stands', says: STANDS_SAYS[stands], station: null, at: null } as const] : []),
  ];
}

/** Chances are looked up at steps this near, mm, as far as any test tells a larger step from a smaller one. */
const TABLE_STEP = 0.0025;
const TABLE_REACH = 0.5;
const HALF = Math.round(TABLE_REACH / TABLE_STEP);

/** Chances of an answer over the steps, worked out once: there are twelve. */
const TABLES = new Map<string, Float64Array>();

function tableOf({ kind, says }: Pick<LevelTest, 'kind' | 'says'>): Float64Array {
  const key = `${kind} ${says}`;
  const known = TABLES.get(key);
  if (known) return known;
  const table = Float64Array.from({ length: 2 * HALF + 1 }, (_, i) =>
    chanceOfAnswer(kind, says, (i - HALF) * TABLE_STEP),
  );
  TABLES.set(key, table);
  return table;
}

/** How likely a test's answer is at a step, looked up: thousands are asked for at a keystroke. */
export function chanceBy(test: Pick<LevelTest, 'kind' | 'says'>): (step: number) => number {
  const table = tableOf(test);
  return (step) => {
    const at = step / TABLE_STEP + HALF;
    if (at <= 0) return table[0]!;
    if (at >= 2 * HALF) return table[2 * HALF]!;
    const below = Math.floor(at);
    return table[below]! + (at - below) * (table[below + 1]! - table[below]!);
  };
}

/**
 * A normal reading that says about the same as an answer: it guides where draws are made, and weighs nothing (tried,
 * model §18).
 */
const GUIDE = { level: { value: 0, u: 0.08 }, high: { value: 0.22, u: 0.15 } } as const;

export function guideOf({ says }: Pick<LevelTest, 'says'>): { readonly value: number; readonly variance: number } {
  if (says === 'level') return { value: 0, variance: GUIDE.level.u ** 2 };
  return { value: says === 'near' ? GUIDE.high.value : -GUIDE.high.value, variance: GUIDE.high.u ** 2 };
}

/** One more likely than this agrees. */
const AGREES_FROM = 0.4;

/**
 * Whether a test contradicts all else that is known; null where it neither does nor agrees.
 * @param expected how likely its answer was by everything but itself
 */
export function testDisagrees(expected: number): boolean | null {
  if (expected < CONTRADICTS_BELOW) return true;
  return expected >= AGREES_FROM ? false : null;
}
