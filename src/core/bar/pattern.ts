import { flatMap } from '../flat-map';
import type { Edge } from '../declared';
import { type EdgeBelief, testDisagrees } from '../groove';
import { quadrature, type Estimate } from '../quantity';
import type { Turned } from './turns';

/** How often the bar is turned over. */
export type TurnOver = 'never' | 'sometimes' | 'every-chain' | 'every-sharpening';

/** What the side of the low rails tells, as data. `low` names the low rail of each edge. */
export type WearPattern =
  | { readonly code: 'not-measured' }
  | { readonly code: 'level' }
  /** No rail stands over the other, and both dip: levelling takes metal all the same. */
  | { readonly code: 'dipped'; readonly edges: readonly Edge[] }
  /** A test speaks against the rest, or it is open whether a rail stands high. */
  | { readonly code: 'open'; readonly edges: readonly Edge[] }
  | { readonly code: 'one-edge'; readonly edge: Edge; readonly low: 'near' | 'far' }
  | { readonly code: 'leaned-on'; readonly low: Readonly<Record<Edge, 'near' | 'far'>> }
  | { readonly code: 'cutters-of-one-side'; readonly low: 'near' | 'far' }
  /** `logged`: how often the shop's log has it turned over, where nobody told so; otherwise null. */
  | { readonly code: 'measure-the-cutters'; readonly opposite: boolean; readonly logged: number | null }
  | { readonly code: 'turning-not-told'; readonly opposite: boolean };

/** How the rails of an edge stand: as they are believed to, by depths and level tests together. */
export interface EdgeLean {
  readonly belief: EdgeBelief | null;
  /** Whether they are to be dressed. */
  readonly called: boolean;
}

/** With a chance of a step from here on an edge leans; below its complement it is level. */
const LEANS_FROM = 0.5;
const LEVEL_BELOW = 0.2;
/**
 * A mean step counts as a direction when it stands this many standard uncertainties from level, even where no file is
 * called for.
 */
const DIRECTION_SURE = 2;

type Direction = 'near' | 'far' | 'level' | 'dipped' | 'open';

/** Whether a level test speaks against all else that is known of an edge. */
const isContradicted = ({ tests }: EdgeBelief): boolean => tests.some(({ expected }) => testDisagrees(expected));

/** The low rail of an edge as a whole; or that there is none, or that it is open. */
function direction({ belief, called }: EdgeLean & { readonly belief: EdgeBelief }): Direction {
  const { stepChance, meanStep } = belief;
  if (isContradicted(belief)) return 'open';
  const low = meanStep.value < 0 ? 'near' : 'far';
  if (stepChance > LEANS_FROM || Math.abs(meanStep.value) > DIRECTION_SURE * meanStep.u) return low;
  if (stepChance > LEVEL_BELOW) return 'open';
  return called ? 'dipped' : 'level';
}

/**
 * Reads the pattern of wear. Never turned over: low rails on opposite sides of the two edges mean that the saw leans or
 * is leaned on; on the same side, that the cutters of that side pull. Turned over now and then: both causes end up
 * opposite, so the cutters must be measured. A turn that was seen counts before what is told; that none was seen proves
 * nothing, because an owner may turn it back.
 */
export function wearPattern(
  { A, B }: Readonly<Record<Edge, EdgeLean>>,
  turnOver: TurnOver | undefined,
  turned: Turned = { times: 0, seen: 0 },
): WearPattern {
  if (!A.belief || !B.belief) return { code: 'not-measured' };
  const low = { A: direction({ ...A, belief: A.belief }), B: direction({ ...B, belief: B.belief }) };
  const that = (is: Direction): readonly Edge[] => (['A', 'B'] as const).filter((edge) => low[edge] === is);
  if (that('open').length > 0) return { code: 'open', edges: that('open') };
  const isLeaning = (is: Direction): is is 'near' | 'far' => is === 'near' || is === 'far';
  if (!isLeaning(low.A) && !isLeaning(low.B))
    return that('dipped').length > 0 ? { code: 'dipped', edges: that('dipped') } : { code: 'level' };
  if (!isLeaning(low.A)) return { code: 'one-edge', edge: 'B', low: low.B as 'near' | 'far' };
  if (!isLeaning(low.B)) return { code: 'one-edge', edge: 'A', low: low.A };
  const opposite = low.A !== low.B;
  if (turnOver !== undefined && turnOver !== 'never') return { code: 'measure-the-cutters', opposite, logged: null };
  if (turned.times > 0) return { code: 'measure-the-cutters', opposite, logged: turned.times };
  if (turnOver === undefined) return { code: 'turning-not-told', opposite };
  return opposite ? { code: 'leaned-on', low: { A: low.A, B: low.B } } : { code: 'cutters-of-one-side', low: low.A };
}

/** The weakest place of an edge, with how well its depth is known. */
function weakestPlace(belief: EdgeBelief | null): Estimate | null {
  const depths = flatMap(belief?.places ?? [], ({ near, far }) => [near, far]);
  return depths.reduce<Estimate | null>((least, depth) => (least && least.value <= depth.value ? least : depth), null);
}

/** Standard deviations by which one edge must be deeper than the other to be called the better one. */
const BEYOND_DOUBT = 2;

/**
 * The edge to put down next: the one with more depth left at its weakest place, by more than that is in doubt. Null when
 * either is unmeasured or neither is surely the better.
 */
export function edgeDownNext(beliefs: Readonly<Record<Edge, EdgeBelief | null>>): Edge | null {
  const [a, b] = [weakestPlace(beliefs.A), weakestPlace(beliefs.B)];
  if (!a || !b || Math.abs(a.value - b.value) <= BEYOND_DOUBT * quadrature(a.u, b.u)) return null;
  return a.value > b.value ? 'A' : 'B';
}
