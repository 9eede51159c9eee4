import { GAUGES } from '../families';
import { DEFAULTS, depthLimitId } from '../limits';
import type { Action, Askable, ReadingId } from '../sheet';
import type { Cause } from '../symptom';
import type { Draw } from './draw';
import { FIRST_PLACE, LAST_PLACE, loopOf, type EdgeShape, type Shape } from './shape';

/** Parts that are judged in practice. */
export const PRACTICE_PARTS = ['bar', 'chain', 'driveSprocket'] as const;
export type PracticePart = (typeof PRACTICE_PARTS)[number];

/** How far beyond a limit a fault lies, as a multiple of what plainly shows. */
export const LEVELS = { plain: 1.6, usual: 1, fine: 0.7 } as const;
export type Level = keyof typeof LEVELS;

interface Fault {
  /** The part that it lies in; null where parts that are sound do not belong together, or a mark is wrong. */
  readonly part: PracticePart | null;
  /** What is right to do with that part because of it. */
  readonly action: Exclude<Action, 'undecided'> | null;
  /** What another school does with that part; left out where all agree. */
  readonly also?: Exclude<Action, 'undecided'>;
  /** The side that a cut is drawn to because of it; left out where it draws to none. */
  readonly toward?: (shape: Shape) => 'left' | 'right';
  /** The readings by which it is found. */
  readonly shownBy: readonly Askable[];
  /** What it may bring about, as §18 has it; null where it brings nothing about. */
  readonly cause: Cause | null;
  /** Puts it into a set. @param beyond how plainly */
  readonly put: (shape: Shape, draw: Draw, beyond: number) => Shape;
}

const said = (shape: Shape, words: Readonly<Partial<Record<ReadingId, string>>>): Shape => ({
  ...shape,
  words: { ...shape.words, ...words },
});

const leastDepth = ({ family }: Shape): number => Number(DEFAULTS[depthLimitId(family)].value);

/** Changes one of the two edges. */
function onOneEdge(shape: Shape, { chance }: Draw, change: (edge: EdgeShape) => EdgeShape): Shape {
  const which = chance(0.5) ? 'A' : 'B';
  return { ...shape, edges: { ...shape.edges, [which]: change(shape.edges[which]) } };
}

/** A dip whose bottom lies under the limit while all about it is good. */
const dipAt = (shape: Shape, draw: Draw, beyond: number, at: number, width: number): Shape =>
  said(
    onOneEdge(shape, draw, (edge) => ({
      ...edge,
      slope: 0,
      dip: { at, width, depth: edge.depth - leastDepth(shape) + 0.45 * beyond },
    })),
    { 'bar.checks.railLine': 'low' },
  );

/**
 * What may be wrong with a set in practice, a row each: what it is known by comes of the making, never of the judgement
 * that it trains for (common practice, no source).
 */
export const FAULTS = {
  'rails-stepped': {
    part: 'bar',
    action: 'recondition',
    shownBy: ['bar.edges.A.stands', 'bar.edges.A.stations'],
    cause: 'rails-unlevel',
    // A bar leans to its low rail.
    toward: ({ edges }) => (edges.A.step?.low === 'far' ? 'right' : 'left'),
    put: (shape, draw, beyond) => {
      const low = draw.chance(0.5) ? 'near' : 'far';
      const step = { low, height: 0.28 + 0.12 * beyond, from: FIRST_PLACE - 20, to: LAST_PLACE + 20 } as const;
      return { ...shape, edges: { A: { ...shape.edges.A, step }, B: { ...shape.edges.B, step } } };
    },
  },
  'groove-splayed': {
    part: 'bar',
    // A flared mouth over a groove that holds the link still: some dress it off, some leave it.
    action: 'keep',
    also: 'recondition',
    shownBy: ['bar.checks.grooveShape'],
    cause: null,
    put: (shape, _draw, beyond) =>
      said(
        { ...shape, mouth: GAUGES[shape.barGauge].thickness + 0.24 + 0.1 * beyond },
        { 'bar.checks.grooveShape': 'splayed' },
      ),
  },
  'groove-worn': {
    part: 'bar',
    action: 'replace',
    shownBy: ['bar.edges.mouth', 'bar.edges.deep'],
    cause: 'groove-worn',
    put: (shape, { between }, beyond) => {
      const width = GAUGES[shape.barGauge].thickness + 0.5 + 0.25 * beyond + between(0, 0.1);
      return said({ ...shape, mouth: width + 0.05, deep: width }, { 'bar.checks.straightEdge': 'gap-closes' });
    },
  },
  'rails-low': {
    part: 'bar',
    action: 'replace',
    shownBy: ['bar.edges.A.stations'],
    cause: null,
    put: (shape, draw, beyond) =>
      onOneEdge(shape, draw, (edge) => ({ ...edge, depth: leastDepth(shape) - 0.5 * beyond })),
  },
  dip: {
    part: 'bar',
    action: 'replace',
    shownBy: ['bar.checks.railLine', 'bar.edges.depth'],
    cause: null,
    put: (shape, draw, beyond) => dipAt(shape, draw, beyond, draw.between(150, 260), draw.between(70, 110)),
  },
  'dip-behind-nose': {
    part: 'bar',
    action: 'replace',
    shownBy: ['bar.checks.railLine', 'bar.edges.depth'],
    cause: null,
    put: (shape, draw, beyond) => dipAt(shape, draw, beyond, draw.between(340, 365), draw.between(60, 80)),
  },
  'bar-bent': {
    part: 'bar',
    action: 'replace',
    shownBy: ['bar.checks.bow'],
    cause: 'bar-bent',
    put: (shape, { between }, beyond) => ({ ...shape, bow: 0.6 + 0.3 * beyond + between(0, 0.3) }),
  },
  'bar-cracked': {
    part: 'bar',
    action: 'replace',
    shownBy: ['bar.checks.crack'],
    cause: null,
    put: (shape) => said(shape, { 'bar.checks.crack': 'yes' }),
  },
  'oil-blocked': {
    part: 'bar',
    action: 'clean',
    shownBy: ['bar.checks.oilHoles'],
    cause: 'oil-blocked',
    put: (shape) => said(shape, { 'bar.checks.oilHoles': 'blocked', 'bar.checks.blueing': 'light' }),
  },
  'groove-packed': {
    part: 'bar',
    action: 'clean',
    shownBy: ['bar.checks.groove'],
    cause: 'groove-packed',
    put: (shape) => said(shape, { 'bar.checks.groove': 'packed' }),
  },
  'nose-seized': {
    part: 'bar',
    action: 'replace',
    shownBy: ['bar.checks.noseTurns'],
    cause: 'nose-failing',
    put: (shape) => said(shape, { 'bar.checks.noseTurns': 'seized' }),
  },
  'chain-thin': {
    part: null,
    action: null,
    shownBy: ['bar.groove', 'chain.driveLinkThickness'],
    cause: 'chain-thin-for-groove',
    put: (shape, { between }) => {
      const gauges = loopOf(shape.family).gauges;
      const chainGauge = gauges[0];
      const barGauge = gauges.at(-1)!;
      const [mark] = shape.stamps.bar.split(' ');
      const groove = GAUGES[barGauge].thickness;
      return {
        ...shape,
        barGauge,
        chainGauge,
        mouth: groove + between(0.06, 0.14),
        deep: groove + between(0.04, 0.1),
        linkThickness: GAUGES[chainGauge].thickness - between(0, 0.02),
        stamps: {
          ...shape.stamps,
          bar: `${mark} ${barGauge} ${shape.driveLinks}DL`,
          chain: `${mark} ${chainGauge}`,
        },
      };
    },
  },
  'stamp-wrong': {
    part: null,
    action: null,
    shownBy: ['chain.stamp', 'chain.driveLinkThickness'],
    cause: null,
    put: (shape, { pick }) => {
      const other = pick(loopOf(shape.family).gauges.filter((gauge) => gauge !== shape.chainGauge));
      const [mark] = shape.stamps.chain.split(' ');
      return { ...shape, stamps: { ...shape.stamps, chain: `${mark} ${other}` } };
    },
  },
  'cutters-short': {
    part: 'chain',
    action: 'replace',
    shownBy: ['chain.cuttersLeft'],
    cause: null,
    put: (shape, { between }, beyond) => {
      const off = shape.cutters.left[0]! - (4 - 0.25 * beyond - between(0, 0.3));
      const shorter = (all: readonly number[]) => all.map((each) => each - off);
      return { ...shape, cutters: { left: shorter(shape.cutters.left), right: shorter(shape.cutters.right) } };
    },
  },
  'damage-deep': {
    part: 'chain',
    action: 'replace',
    shownBy: ['chain.damage', 'chain.cuttersLeft'],
    cause: null,
    put: (shape, { pick }, beyond) => {
      const side = pick(['left', 'right'] as const);
      const cutter = pick([1, 2, 3, 4]);
      const setBack = shape.cutters[side][cutter - 1]! - (4 - 0.35 * beyond);
      return { ...shape, damage: { side, cutter, setBack } };
    },
  },
  'cutters-dull': {
    part: 'chain',
    action: 'recondition',
    shownBy: ['chain.checks.edge'],
    cause: 'cutters-dull',
    put: (shape) => said(shape, { 'chain.checks.edge': 'dull' }),
  },
  'cutters-uneven': {
    part: 'chain',
    action: 'recondition',
    shownBy: ['chain.cuttersLeft', 'chain.cuttersRight'],
    cause: 'cutters-uneven',
    // The side with the longer cutters leads.
    toward: ({ cutters: { left, right } }) => (left[0]! < right[0]! ? 'right' : 'left'),
    put: (shape, _draw, beyond) => ({
      ...shape,
      cutters: { ...shape.cutters, left: shape.cutters.left.map((each) => each - 0.4 - 0.4 * beyond) },
    }),
  },
  'gauges-high': {
    part: 'chain',
    action: 'recondition',
    shownBy: ['chain.depthGaugesLeft', 'chain.depthGaugesRight'],
    cause: 'depth-gauges-high',
    put: (shape, _draw, beyond) => {
      const higher = (all: readonly number[]) => all.map((each) => each - 0.15 - 0.12 * beyond);
      return { ...shape, gauges: { left: higher(shape.gauges.left), right: higher(shape.gauges.right) } };
    },
  },
  'chain-stretched': {
    part: 'chain',
    action: 'replace',
    shownBy: ['chain.pushPull'],
    cause: 'chain-stretched',
    put: (shape, { between }, beyond) =>
      said({ ...shape, growth: 3 + 0.4 * beyond + between(0, 0.4) }, { 'chain.checks.feel': 'loose' }),
  },
  'chain-cracked': {
    part: 'chain',
    action: 'replace',
    shownBy: ['chain.checks.crack'],
    cause: null,
    put: (shape) => said(shape, { 'chain.checks.crack': 'yes' }),
  },
  'sprocket-worn': {
    part: 'driveSprocket',
    action: 'replace',
    shownBy: ['driveSprocket.wear'],
    cause: 'sprocket-worn',
    put: (shape, { between }, beyond) =>
      said({ ...shape, sprocketWear: 0.56 + 0.12 * beyond + between(0, 0.1) }, { 'driveSprocket.grade': 'deep' }),
  },
  'turns-at-idle': {
    // The saw's own: nothing on the three parts shows it, and nothing done to them mends it.
    part: null,
    action: null,
    shownBy: ['proof.idle'],
    cause: null,
    // The test cut tells it.
    put: (shape) => shape,
  },
} as const satisfies Record<string, Fault>;

export type FaultId = keyof typeof FAULTS;
export const FAULT_IDS = Object.keys(FAULTS) as readonly FaultId[];

/** A row as the computation reads it. */
export const faultOf = (id: FaultId): Fault => FAULTS[id];
