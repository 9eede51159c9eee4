import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { alongLine, freestBox, type Box } from './label-spot';

const box = (x: number, y: number): Box => ({ x, y, width: 100, height: 12 });

describe('the place of a label', () => {
  it('is the one liked most while nothing is in the way', () => {
    expect(freestBox([box(0, 0), box(0, 50)], [])).toEqual(box(0, 0));
    expect(freestBox([box(0, 0), box(0, 50)], [{ x: 50, y: 30 }])).toEqual(box(0, 0));
  });

  it('leaves a line free, also between its corners', () => {
    const line = alongLine([
      { x: -200, y: 6 },
      { x: 300, y: 6 },
    ]);
    expect(freestBox([box(0, 0), box(0, 50)], line)).toEqual(box(0, 50));
  });

  it('keeps off another label, and covers a line rather than that', () => {
    const line = alongLine([
      { x: 0, y: 56 },
      { x: 100, y: 56 },
    ]);
    expect(freestBox([box(0, 0), box(0, 50)], line, [box(20, 4)])).toEqual(box(0, 50));
  });

  it('is some place, even where all are taken', () => {
    expect(freestBox([box(0, 0)], [], [box(0, 0)])).toEqual(box(0, 0));
  });
});

describe('points along a line', () => {
  it('break where the line breaks', () => {
    expect(alongLine([null, { x: 0, y: 0 }, null, { x: 50, y: 0 }])).toEqual([
      { x: 0, y: 0 },
      { x: 50, y: 0 },
    ]);
  });

  it('are nowhere further apart than asked, and end at every corner', () => {
    const spot = fc.record({ x: fc.integer({ min: 0, max: 500 }), y: fc.integer({ min: 0, max: 200 }) });
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 8 }), (corners) => {
        const points = alongLine(corners, 8);
        points.forEach((at, i) => {
          if (i > 0) expect(Math.hypot(at.x - points[i - 1]!.x, at.y - points[i - 1]!.y)).toBeLessThanOrEqual(8 + 1e-9);
        });
        for (const corner of corners)
          expect(points.some(({ x, y }) => Math.hypot(x - corner.x, y - corner.y) < 1e-9)).toBe(true);
      }),
      { seed: 12 },
    );
  });
});
