import { describe, expect, it } from 'vitest';
import { readSheet, type WrittenBenchSheet } from '../../sheet';
import { appraise, DEFAULT_RULES } from '../../assess';
import { reworkFigures } from './rework-figures';

type Edges = NonNullable<NonNullable<WrittenBenchSheet['bar']>['edges']>;
type Station = NonNullable<NonNullable<Edges['A']>['stations']>[number];

const at = (position: number, near: number, far: number, more: Partial<Station> = {}): Station => ({
  at: `${position} mm`,
  near: `${near} mm`,
  far: `${far} mm`,
  ...more,
});

/** Figures of a bar with these stations on edge A, and one on B that was not measured again. */
function figures(stations: Station[]) {
  const edges = { A: { stations }, B: { stations: [at(60, 6.5, 8)] } };
  const bar = { stamp: '325 .050 72DL', edges };
  const read = readSheet({ format: 'serrata-bench-sheet', version: 1, bar, chain: { tang: '5 mm' } });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return reworkFigures(appraise(read.value, DEFAULT_RULES, null).bar);
}

describe('before and after the rework', () => {
  it('are the worst of the stations that were measured again, and of no other', () => {
    const { before, after } = figures([
      at(60, 8, 7.2, { mouth: '1.4 mm', after: { near: '7.1 mm', far: '7.2 mm', mouth: '1.38 mm' } }),
      at(200, 7, 8, { mouth: '1.5 mm', after: { near: '6.9 mm', far: '6.9 mm', mouth: '1.4 mm' } }),
      at(300, 6.2, 9),
    ]);
    expect(before.step).toBeCloseTo(1);
    expect(after.step).toBeCloseTo(0.1);
    expect(before.depth).toBeCloseTo(7);
    expect(after.depth).toBeCloseTo(6.9);
    expect(before.room).toBeCloseTo(2);
    expect(after.room).toBeCloseTo(1.9);
    expect(before.play! - after.play!).toBeCloseTo(0.1);
  });

  it('count what was not measured again as it was first read', () => {
    const { before, after } = figures([
      at(60, 8, 7.2, { mouth: '1.4 mm', after: { near: '7.1 mm', far: '7.2 mm' } }),
      at(200, 7, 8, { mouth: '1.5 mm', after: { near: '6.9 mm', far: '6.9 mm', mouth: '1.4 mm' } }),
    ]);
    // 1.40 at the first station still stands, and is no wider than what was measured again at the second.
    expect(before.play).toBeCloseTo(0.23);
    expect(after.play).toBeCloseTo(0.13);
    expect(after.depth).toBeCloseTo(6.9);
  });

  it('are not known while nothing was measured again', () => {
    expect(figures([at(60, 8, 7)]).after).toEqual({ depth: null, step: null, play: null, room: null });
  });
});
