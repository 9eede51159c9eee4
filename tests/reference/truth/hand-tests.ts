import { chanceOfAnswer, type LevelAnswer, type LevelTestKind } from '../../../src/core/groove';
import type { Appraisal } from '../../../src/core/assess';
import type { WrittenBenchSheet } from '../../../src/core/sheet';
import { FIRST, LAST, stationsAt, type Rails } from './bars';
import type { Written } from './hand';
import { judged, soundBar } from './judged';
import type { Random } from './random';

type WrittenEdge = NonNullable<NonNullable<NonNullable<WrittenBenchSheet['bar']>['edges']>['A']>;
type WrittenStation = NonNullable<WrittenEdge['stations']>[number];

const SQUARE = { level: 'level', near: 'near-high', far: 'far-high' } as const;
const STANDS = { level: 'yes', near: 'far', far: 'near' } as const;

/** What a hand answers at a step, blunders included (model §18). */
function answer({ between }: Random, kind: LevelTestKind, step: number): LevelAnswer {
  const at = between(0, 1);
  const near = chanceOfAnswer(kind, 'near', step);
  if (at < near) return 'near';
  return at < near + chanceOfAnswer(kind, 'far', step) ? 'far' : 'level';
}

const stepAt = (edge: Rails, at: number): number => {
  const { near, far } = edge(at);
  return near - far;
};

const meanStepOf = (edge: Rails): number => {
  const places = Array.from({ length: 71 }, (_, i) => FIRST + (i * (LAST - FIRST)) / 70);
  return places.reduce((sum, at) => sum + stepAt(edge, at), 0) / places.length;
};

/** How a hand tests an edge. */
export interface Way {
  readonly with: 'eye' | 'blade';
  readonly squares: number;
  /** Depths beside the squares, by this tool; null for none. */
  readonly depth: ((truth: number) => Written) | null;
}

const kindOf = ({ with: how }: Way): LevelTestKind => (how === 'blade' ? 'blade' : 'square');

function squareAt(random: Random, edge: Rails, at: number, way: Way): WrittenStation {
  const { near, far } = edge(at);
  return {
    at: `${at} mm`,
    square: SQUARE[answer(random, kindOf(way), near - far)],
    squareWith: way.with,
    ...(way.depth ? { near: way.depth(near), far: way.depth(far) } : {}),
  };
}

function testedEdge(random: Random, edge: Rails, way: Way): WrittenEdge {
  return {
    stands: STANDS[answer(random, 'stands', meanStepOf(edge))],
    stations: stationsAt(way.squares).map((at) => squareAt(random, edge, at, way)),
  };
}

const sheetOf = (A: WrittenEdge, B: WrittenEdge) => judged({ bar: soundBar({ A, B }) });

/** More squares that the plan may ask for on one edge. */
const MOST_MORE = 4;

/** Makes the squares that the plan asks for on an edge, as long as it asks for one. */
function followed(
  random: Random,
  edges: readonly [Rails, Rails],
  ways: Way,
): { readonly appraisal: Appraisal; readonly more: number } {
  const written = { A: testedEdge(random, edges[0], ways), B: testedEdge(random, edges[1], ways) };
  const left = { A: MOST_MORE, B: MOST_MORE };
  let [appraisal, more] = [sheetOf(written.A, written.B), 0];
  for (;;) {
    const asked = appraisal.next.find(({ reason }) => reason.code === 'step-may-stand');
    if (!asked || asked.reason.code !== 'step-may-stand') break;
    const { edge } = asked.reason;
    if (asked.at === null || left[edge] === 0) break;
    left[edge] -= 1;
    more += 1;
    const {
      squareWith: _with,
      near: _near,
      far: _far,
      ...square
    } = squareAt(random, edges[edge === 'A' ? 0 : 1], Math.round(asked.at), ways);
    written[edge] = {
      ...written[edge],
      stations: [...(written[edge].stations ?? []), { ...square, squareWith: ways.with }],
    };
    appraisal = sheetOf(written.A, written.B);
  }
  return { appraisal, more };
}

/**
 * How many of so many bars are sent to the file when both edges are as given, and how many more squares were made a
 * bar.
 */
export function testedBars(
  random: Random,
  runs: number,
  way: Way,
  make: (random: Random) => readonly [Rails, Rails],
): { readonly filed: number; readonly more: number } {
  let [filed, more] = [0, 0];
  for (let run = 0; run < runs; run += 1) {
    const found = followed(random, make(random), way);
    if (found.appraisal.bar.edges.A.called) filed += 1;
    more += found.more;
  }
  return { filed: filed / runs, more: more / runs };
}
