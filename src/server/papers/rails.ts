import { leastDepth, type Station } from '../../core/groove';
import { EDGES, type Edge } from '../../core/declared';
import type { BarAssessment } from '../../core/bar/checks';
import type { PaperDrawing, PaperShape } from '../../contract';
import * as texts from '#language/papers';

const WIDTH = 640;
const HEIGHT = 112;
const LEFT = 62;
const RIGHT = 12;
const TOP = 24;
const BOTTOM = 26;

interface Point {
  readonly at: number;
  readonly depth: number;
}

const lowRail = (stations: readonly Station[]): readonly Point[] =>
  stations.flatMap((station) => {
    const depth = leastDepth(station)?.value;
    return depth === undefined ? [] : [{ at: station.at as number, depth }];
  });

const line = (points: readonly { readonly x: number; readonly y: number }[]): string =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(' ');

/**
 * The lower rail of an edge along the bar as it was read, as it came and as it goes, over the least depth; null where no
 * depth was measured. What is believed of it stands in the table, as a figure: one figure for one thing.
 */
function edgeDrawing(edge: Edge, bar: BarAssessment, show: (mm: number) => string): PaperDrawing | null {
  const before = lowRail(bar.edges[edge].stations);
  const after = bar.measuredAgain ? lowRail(bar.standing[edge].stations) : [];
  const all = [...before, ...after];
  if (before.length === 0) return null;
  const limit = bar.depthLimit;
  const [first, last] = [Math.min(...all.map(({ at }) => at)), Math.max(...all.map(({ at }) => at))];
  const deepest = Math.max(...all.map(({ depth }) => depth), (limit ?? 0) + 1) * 1.06;
  const x = (at: number) => LEFT + ((at - first) / Math.max(1, last - first)) * (WIDTH - LEFT - RIGHT);
  const y = (depth: number) => HEIGHT - BOTTOM - (depth / deepest) * (HEIGHT - TOP - BOTTOM);
  const points = (of: readonly Point[]) => of.map(({ at, depth }) => ({ x: x(at), y: y(depth) }));
  const dots = (of: readonly Point[], tone: 'plain' | 'act'): PaperShape[] =>
    points(of).map((at) => ({
      is: 'path',
      d: `M${(at.x - 3).toFixed(1)} ${at.y.toFixed(1)} a3 3 0 1 0 6 0 a3 3 0 1 0 -6 0 Z`,
      fill: tone,
    }));
  const word = (
    text: string,
    at: { x: number; y: number },
    tone: 'plain' | 'gone' | 'act' | 'soft',
    anchor: 'start' | 'end' = 'start',
  ): PaperShape => ({
    is: 'text',
    ...at,
    text,
    size: 13,
    anchor,
    tone,
  });
  const said = texts.lowerRail(edge, after.length > 0, limit === null ? '' : texts.must(show(limit)));
  return {
    width: WIDTH,
    height: HEIGHT,
    share: 1,
    said,
    shapes: [
      { is: 'path', d: `M${LEFT} ${y(0).toFixed(1)} H${WIDTH - RIGHT}`, stroke: 'plain', width: 2 },
      word(texts.floor, { x: LEFT - 8, y: y(0) + 4 }, 'soft', 'end'),
      ...(limit === null
        ? []
        : ([
            {
              is: 'path',
              d: `M${LEFT} ${y(limit).toFixed(1)} H${WIDTH - RIGHT}`,
              stroke: 'gone',
              width: 1.5,
              dash: '6 4',
            },
            word(texts.leastOf(show(limit)), { x: WIDTH - RIGHT, y: y(limit) + 14 }, 'gone', 'end'),
          ] as const)),
      { is: 'path', d: line(points(before)), stroke: 'plain', width: 2, dash: '4 3' },
      ...dots(before, 'plain'),
      ...(after.length > 0
        ? ([{ is: 'path', d: line(points(after)), stroke: 'act', width: 3 }, ...dots(after, 'act')] as const)
        : []),
      word(texts.edge(edge), { x: 0, y: 14 }, 'plain'),
      word(texts.tail, { x: LEFT, y: HEIGHT - 6 }, 'soft'),
      word(texts.nose, { x: WIDTH - RIGHT, y: HEIGHT - 6 }, 'soft', 'end'),
      word(texts.railAsItCame, { x: LEFT, y: 14 }, 'plain'),
      ...(after.length > 0 ? [word(texts.railAsItGoes, { x: WIDTH - RIGHT, y: 14 }, 'act', 'end')] : []),
    ],
  };
}

/** Depth of the groove at the lower rail, edge by edge, before the work and after it. */
export const railDrawings = (bar: BarAssessment, show: (mm: number) => string): readonly PaperDrawing[] =>
  EDGES.flatMap((edge) => edgeDrawing(edge, bar, show) ?? []);
