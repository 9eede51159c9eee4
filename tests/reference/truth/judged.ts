import { appraise, DEFAULT_RULES, type Appraisal } from '../../../src/core/assess';
import { readSheet, type WrittenBenchSheet } from '../../../src/core/sheet';
import { stationsAt, type Rails } from './bars';
import type { Hand, Written } from './hand';

type Bar = NonNullable<WrittenBenchSheet['bar']>;

/** Assesses a sheet with the default limits. */
export function judged(parts: Omit<WrittenBenchSheet, 'format' | 'version'>): Appraisal {
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, ...parts });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return appraise(read.value, DEFAULT_RULES, null);
}

/** A bar with nothing against it but what its readings say; the limit of .325 is 6 mm. */
export const soundBar = (edges: Bar['edges'], over: Partial<Bar> = {}): Bar => ({
  stamp: '.325 .050 72DL',
  nose: 'sprocket',
  ...over,
  checks: { bow: '0 mm', crack: 'no', noseTurns: 'free', straightEdge: 'gap-stays', ...over.checks },
  edges,
});

/** An edge as one hand reads it, rail by rail. */
export function readEdge(edge: Rails, count: number, read: (truth: number) => Written) {
  return {
    stations: stationsAt(count).map((at) => {
      const { near, far } = edge(at);
      return { at: `${at} mm`, near: read(near), far: read(far) };
    }),
  };
}

/** Both edges read with one tool, and judged. */
export function judgedBar(edges: readonly [Rails, Rails], count: number, { read }: Pick<Hand, 'read'>): Appraisal {
  const [A, B] = [readEdge(edges[0], count, (truth) => read(truth)), readEdge(edges[1], count, (truth) => read(truth))];
  return judged({ bar: soundBar({ A, B }) });
}
