import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { derivedPlayLimit, pinches, rock } from '../../src/core/groove';
import { mm } from '../../src/core/quantity';

/**
 * Width that a rectangle of thickness g, standing e deep and turned by θ, takes up: by the corners themselves, no
 * formula.
 */
function widthOfTurned(g: number, e: number, theta: number): number {
  const corners = [
    [0, 0],
    [g, 0],
    [g, -e],
    [0, -e],
  ].map(([x, y]) => x! * Math.cos(theta) - y! * Math.sin(theta));
  return Math.max(...corners) - Math.min(...corners);
}

/** The tilt at which the turned rectangle just fills the slot, by bisection. */
function tiltByConstruction(w: number, g: number, e: number): number {
  let [lo, hi] = [0, Math.atan2(e, g)];
  for (let i = 0; i < 80; i += 1) {
    const middle = (lo + hi) / 2;
    if (widthOfTurned(g, e, middle) < w) lo = middle;
    else hi = middle;
  }
  return (lo * 180) / Math.PI;
}

describe('rock against direct geometry', () => {
  it('is the tilt at which the link’s corners touch both walls', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1.7, noNaN: true }),
        fc.double({ min: 3, max: 9, noNaN: true }),
        fc.double({ min: 0.005, max: 0.9, noNaN: true }),
        (g, e, play) => {
          expect(rock(mm(g + play), mm(g), mm(e))).toBeCloseTo(tiltByConstruction(g + play, g, e), 6);
        },
      ),
      { seed: 7, numRuns: 300 },
    );
  });

  it('grows with the groove and is nothing in a groove that pinches', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.9, max: 3, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (w, more) => {
          expect(rock(mm(w + more), mm(1.27), mm(5))).toBeGreaterThanOrEqual(rock(mm(w), mm(1.27), mm(5)));
          if (pinches(mm(w), mm(1.27))) expect(rock(mm(w), mm(1.27), mm(5))).toBe(0);
        },
      ),
      { seed: 8, numRuns: 200 },
    );
  });

  it('brings the cutter tip exactly to the rule at the derived play limit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 8, noNaN: true }),
        fc.double({ min: 9, max: 13, noNaN: true }),
        (kerf, tipHeight) => {
          const cutter = { kerf: mm(kerf), barThickness: mm(4.5), tipHeight: mm(tipHeight) };
          const limit = derivedPlayLimit(cutter, mm(1.27), mm(5))!;
          const tilt = (tiltByConstruction(1.27 + limit.play, 1.27, 5) * Math.PI) / 180;
          expect(tipHeight * Math.sin(tilt)).toBeCloseTo((kerf - 4.5) / 2, 6);
        },
      ),
      { seed: 9, numRuns: 200 },
    );
  });
});
