import {
  believedAt,
  deviate,
  DRAWS_PER_ROW,
  normalPoints,
  pick,
  SPREADS,
  type PairComponent,
  type ProfileBelief,
} from '../belief';
import { TESTED_DRAWS, type TestedEdge, type TestFound } from './edge-level';

/**
 * What is believed at one place: the mean of both rails, their step (near less far), standard uncertainties, and the
 * covariance of the two, mm and mm².
 */
export interface RailsAt {
  readonly depth: { readonly mean: number; readonly u: number };
  readonly step: { readonly mean: number; readonly u: number };
  readonly covariance: number;
}

/** Deviations that one row of points gives: of the depth, of the step with it, and of the step by itself. */
export interface RowDeviations {
  readonly up: Float64Array;
  readonly lift: Float64Array;
  readonly across: Float64Array;
}

/** Both rails draw by draw, place by place within a draw: the mean of both, and the step. */
export interface RailPaths {
  readonly depths: Float64Array;
  readonly steps: Float64Array;
}

/** The rails of an edge as they are believed to be: a mean and a step along the edge, which may be drawn. */
export interface RailsBelief {
  readonly places: readonly number[];
  readonly at: readonly RailsAt[];
  /**
   * Where level tests had their say the rails are drawn once, and nothing else is drawn of them; null where none was
   * made.
   */
  readonly tested: { readonly paths: RailPaths; readonly tests: readonly TestFound[] } | null;
  /** Fills in the deviations of a row, and returns the means that they are from. */
  readonly draw: (
    row: number,
    points: readonly Float64Array[],
    offset: number,
    into: RowDeviations,
  ) => { readonly depths: Float64Array; readonly leans: Float64Array };
}

/** Depth and step that were read apart: every station has both rails, read alike. */
export function apart(depth: ProfileBelief, step: ProfileBelief): RailsBelief {
  const { places } = depth;
  const at = places.map((_, j): RailsAt => ({ depth: believedAt(depth, j), step: believedAt(step, j), covariance: 0 }));
  return {
    places,
    at,
    tested: null,
    draw: (row, points, offset, { up, across }) => {
      const mean = pick(depth.components, ((row + 0.5) * SPREADS[0]) % 1);
      const lean = pick(step.components, ((row + 0.5) * SPREADS[1]) % 1);
      deviate(mean, points[row]!, offset, up);
      deviate(lean, points[row]!, offset + places.length, across);
      return { depths: mean.mean, leans: lean.mean };
    },
  };
}

/** Covariance of two places of a component, by its factor. */
function covarianceAt({ factor }: PairComponent, size: number, a: number, b: number): number {
  let sum = 0;
  for (let k = 0; k <= Math.min(a, b); k += 1) sum += factor[a * size + k]! * factor[b * size + k]!;
  return sum;
}

/** Depth and step that were read together: rails by two tools, or one of them alone. */
export function together(components: readonly PairComponent[], places: readonly number[]): RailsBelief {
  const size = places.length;
  const at = places.map((_, j): RailsAt => {
    let [depth, step, depthSquare, stepSquare, product] = [0, 0, 0, 0, 0];
    for (const component of components) {
      const { weight, mean } = component;
      const [a, b] = [mean[j]!, mean[size + j]!];
      depth += weight * a;
      step += weight * b;
      depthSquare += weight * (a * a + covarianceAt(component, 2 * size, j, j));
      stepSquare += weight * (b * b + covarianceAt(component, 2 * size, size + j, size + j));
      product += weight * (a * b + covarianceAt(component, 2 * size, size + j, j));
    }
    return {
      depth: { mean: depth, u: Math.sqrt(Math.max(0, depthSquare - depth * depth)) },
      step: { mean: step, u: Math.sqrt(Math.max(0, stepSquare - step * step)) },
      covariance: product - depth * step,
    };
  });
  return {
    places,
    at,
    tested: null,
    draw: (row, points, offset, { up, lift, across }) => {
      const component = pick(components, ((row + 0.5) * SPREADS[0]) % 1);
      const { factor, mean } = component;
      const drawn = points[row]!;
      for (let j = 0; j < size; j += 1) {
        let own = 0;
        let shared = 0;
        let rest = 0;
        for (let k = 0; k < size; k += 1) {
          if (k <= j) own += factor[j * 2 * size + k]! * drawn[offset + k]!;
          shared += factor[(size + j) * 2 * size + k]! * drawn[offset + k]!;
          if (k <= j) rest += factor[(size + j) * 2 * size + size + k]! * drawn[offset + size + k]!;
        }
        up[j] = own;
        lift[j] = shared;
        across[j] = rest;
      }
      return { depths: mean.subarray(0, size), leans: mean.subarray(size) };
    },
  };
}

/** Mean, spread and covariance of the rails at each place, from their draws. */
function momentsOf({ depths, steps }: RailPaths, size: number): readonly RailsAt[] {
  const draws = steps.length / size;
  return Array.from({ length: size }, (_, j): RailsAt => {
    let [depth, step, depthSquare, stepSquare, product] = [0, 0, 0, 0, 0];
    for (let i = j; i < steps.length; i += size) {
      const [a, b] = [depths[i]!, steps[i]!];
      depth += a / draws;
      step += b / draws;
      depthSquare += (a * a) / draws;
      stepSquare += (b * b) / draws;
      product += (a * b) / draws;
    }
    return {
      depth: { mean: depth, u: Math.sqrt(Math.max(0, depthSquare - depth * depth)) },
      step: { mean: step, u: Math.sqrt(Math.max(0, stepSquare - step * step)) },
      covariance: product - depth * step,
    };
  });
}

const notDrawnByRows = (): never => {
  throw new Error('A tested edge is drawn once, path by path.');
};

function tested(places: readonly number[], paths: RailPaths, tests: readonly TestFound[]): RailsBelief {
  return { places, at: momentsOf(paths, places.length), tested: { paths, tests }, draw: notDrawnByRows };
}

/** Depth that was read apart from a step that level tests had their say on. */
export function testedApart(depth: ProfileBelief, { paths: steps, tests }: TestedEdge): RailsBelief {
  const { places } = depth;
  const size = places.length;
  const points = normalPoints(2 * size);
  const depths = new Float64Array(TESTED_DRAWS * size);
  const up = new Float64Array(size);
  for (let draw = 0; draw < TESTED_DRAWS; draw += 1) {
    const row = Math.floor(draw / DRAWS_PER_ROW);
    const component = pick(depth.components, ((row + 0.5) * SPREADS[0]) % 1);
    if (draw % 2 === 0) deviate(component, points[row]!, (draw % DRAWS_PER_ROW < 2 ? 0 : 1) * size, up);
    const sign = draw % 2 === 0 ? 1 : -1;
    for (let j = 0; j < size; j += 1) depths[draw * size + j] = component.mean[j]! + sign * up[j]!;
  }
  const own = places.map((_, j) => believedAt(depth, j));
  const belief = tested(places, { depths, steps }, tests);
  return { ...belief, at: belief.at.map(({ step }, j) => ({ depth: own[j]!, step, covariance: 0 })) };
}

/** Depth and step that were read together, once level tests had their say. */
export function testedTogether({ paths, tests }: TestedEdge, places: readonly number[]): RailsBelief {
  const size = places.length;
  const half = (from: number) =>
    Float64Array.from(
      { length: paths.length / 2 },
      (_, i) => paths[2 * size * Math.floor(i / size) + from + (i % size)]!,
    );
  return tested(places, { depths: half(0), steps: half(size) }, tests);
}
