import { chanceAbove, ownUncertainty, type Estimate, type InstrumentId, type LimitKind, type Unit } from '../quantity';
import type { Least } from './least';
import { allAtLeast, lessBias, type AskedAlike } from './alike';

/**
 * One thing that nobody knows exactly, as its readings leave it: what the tool showed, with what each placing added.
 * The tool's own error is not in it: it is drawn once for all that was read with the tool.
 */
export type Latent =
  /** One value, normal about it or alike between two marks. */
  | { readonly is: 'value'; readonly estimate: Estimate<Unit> }
  /** The least of a profile, by draws; where it is that of negatives, the tool's error counts the other way. */
  | { readonly is: 'least'; readonly least: Least; readonly tool: InstrumentId | null; readonly negative: boolean }
  /** The shortest of many pieces. */
  | {
      readonly is: 'shortest';
      readonly kinds: readonly AskedAlike[];
      readonly common: number;
      readonly tool: InstrumentId | null;
    };

/** So many times a latent, in a sum. */
export interface Term {
  readonly times: number;
  readonly of: Latent;
}

/**
 * A sum of latents that is held against a limit, and how likely this is the sum and the limit that count: of several
 * ways one does.
 */
export interface Way {
  readonly weight: number;
  /** Which way it is, where there are several: the pitch or the gauge that is right in it. */
  readonly case: { readonly of: 'pitch' | 'gauge'; readonly is: string } | null;
  readonly terms: readonly Term[];
  readonly limit: number;
}

export const valueOf = (estimate: Estimate<Unit>): Latent => ({ is: 'value', estimate });

/** The only way, where everything it depends on is settled. */
export const onlyWay = (limit: number, ...terms: readonly Term[]): readonly Way[] => [
  { weight: 1, case: null, terms, limit },
];

/** One value against one limit. */
export const valueWay = (estimate: Estimate<Unit>, limit: number): readonly Way[] =>
  onlyWay(limit, { times: 1, of: valueOf(estimate) });

/** The tool of a latent, with the standard deviation of its own error, mm; null where none is known. */
export function toolOf(latent: Latent): { readonly tool: InstrumentId; readonly shared: number } | null {
  if (latent.is === 'value') {
    const { tool, shared } = latent.estimate;
    return tool && shared !== undefined ? { tool, shared } : null;
  }
  const shared = latent.is === 'least' ? latent.least.common : latent.common;
  return latent.tool ? { tool: latent.tool, shared } : null;
}

/** How much of its tool's error is in what a latent shows. */
export const towards = (latent: Latent): 1 | -1 => (latent.is === 'least' && latent.negative ? -1 : 1);

/** What a latent has for itself beside its tool's error. */
export function ownOf(latent: Latent): number {
  if (latent.is !== 'value') return toolOf(latent) ? 0 : latent.is === 'least' ? latent.least.common : latent.common;
  return toolOf(latent) ? ownUncertainty(latent.estimate as Estimate) : latent.estimate.u;
}

/** The normal part of a sum: its value, and the variance that all of it has. */
interface Normal {
  readonly value: number;
  readonly variance: number;
}

/**
 * Everything of a sum that is normal: values, and the errors of tools, which cancel where they stand against each
 * other.
 */
function normalPart(terms: readonly Term[]): Normal {
  let [value, variance] = [0, 0];
  const errors = new Map<InstrumentId, { net: number; shared: number }>();
  for (const { times, of } of terms) {
    const used = toolOf(of);
    if (used) {
      const { net = 0, shared = 0 } = errors.get(used.tool) ?? {};
      errors.set(used.tool, { net: net + times * towards(of), shared: Math.max(shared, used.shared) });
    }
    variance += (times * ownOf(of)) ** 2;
    if (of.is === 'value') value += times * of.estimate.value;
  }
  for (const { net, shared } of errors.values()) variance += (net * shared) ** 2;
  return { value, variance };
}

/** The share of an interval that is at or above a level. */
function shareAbove([lo, hi]: readonly [number, number], level: number): number {
  return hi === lo ? Number(lo >= level) : Math.min(1, Math.max(0, (hi - level) / (hi - lo)));
}

type ShortestTerm = Term & { readonly of: Extract<Latent, { is: 'shortest' }> };
const isShortest = (term: Term): term is ShortestTerm => term.of.is === 'shortest';

/** The same where the sum is of the shortest of many pieces, each with its tool's error as often as it says. */
function shortestAbove(shortest: ShortestTerm, terms: readonly Term[], limit: number): number {
  const { kinds, tool, common } = shortest.of;
  let [value, variance, times] = [0, 0, 0];
  for (const term of terms) {
    if (term === shortest || term.of.is !== 'value') continue;
    const used = toolOf(term.of);
    value += term.times * term.of.estimate.value;
    variance += (term.times * ownOf(term.of)) ** 2;
    if (used && used.tool === tool) times -= term.times;
    else if (used) variance += (term.times * used.shared) ** 2;
  }
  return allAtLeast(times === 0 ? kinds : lessBias(kinds, times), limit - value, common, Math.sqrt(variance));
}

/** Probability that a sum is at or above its limit. A sum has at most one latent that is not a plain value. */
function above({ terms, limit }: Way): number {
  const drawn = terms.find(({ of }) => of.is !== 'value');
  if (drawn && isShortest(drawn)) return shortestAbove(drawn, terms, limit);
  const { value, variance } = normalPart(terms);
  const u = Math.sqrt(variance);
  const [only, second] = terms;
  if (only?.of.is === 'value' && second === undefined && only.of.estimate.between) {
    const [a, b] = only.of.estimate.between;
    return shareAbove(only.times > 0 ? [only.times * a, only.times * b] : [only.times * b, only.times * a], limit);
  }
  if (!drawn) return chanceAbove(value - limit, u);
  const { times, of } = drawn;
  const { draws } = (of as Extract<Latent, { is: 'least' }>).least;
  let sum = 0;
  for (let i = 0; i < draws.length; i += 1) sum += chanceAbove(times * draws[i]! + value - limit, u);
  return sum / draws.length;
}

/**
 * Probability that a sum is on the good side of its limit, in closed form.
 * @see JCGM 106:2012, 7.2; what one tool put into two readings cancels in their difference: JCGM 100:2008, 5.2.4
 */
export function wayWithin(way: Way, kind: LimitKind): number {
  if (kind === 'min') return above(way);
  const turned = way.terms.map(({ times, of }): Term => ({ times: -times, of }));
  return above({ ...way, terms: turned, limit: -way.limit });
}

/** The same over all ways there are. */
export function waysWithin(ways: readonly Way[], kind: LimitKind): number {
  const total = ways.reduce((sum, { weight }) => sum + weight, 0);
  return ways.reduce((sum, way) => sum + (way.weight / total) * wayWithin(way, kind), 0);
}

/**
 * Something that goes with a least: of this value and uncertainty, and as much with the least as the two allow; the
 * rest is its own.
 * @param mean what is expected of the least itself
 */
export function along(of: Latent, mean: Estimate, { value, u }: Estimate): readonly Term[] {
  const times = mean.u === 0 ? 1 : Math.min(1, u / mean.u);
  const rest = Math.sqrt(Math.max(0, u ** 2 - (times * mean.u) ** 2));
  const beside = { value: (value - times * mean.value) as Estimate['value'], u: rest };
  return [
    { times, of },
    { times: 1, of: valueOf(beside) },
  ];
}
