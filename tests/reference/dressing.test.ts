import fc from 'fast-check';
import solver, { type Model } from 'javascript-lp-solver';
import { describe, expect, it } from 'vitest';
import { dressProfile, type DressStation } from '../../src/core/bar';

const TOLERANCE = 0.05;
const SLOPE = 0.005;

/**
 * The same plan as a linear program: the largest sum of heights that nowhere stands more than τ over the low rail nor
 * climbs faster than λ.
 */
function byLinearProgram(stations: readonly { at: number; low: number }[]): number[] {
  const variables: Record<string, Record<string, number>> = {};
  const constraints: Record<string, { max: number }> = {};
  stations.forEach(({ low }, i) => {
    variables[`t${i}`] = { height: 1, [`top${i}`]: 1 };
    constraints[`top${i}`] = { max: low + TOLERANCE };
  });
  stations.forEach(({ at }, i) => {
    stations.forEach((other, j) => {
      if (i === j) return;
      const name = `climb${i}-${j}`;
      variables[`t${i}`]![name] = 1;
      variables[`t${j}`]![name] = -1;
      constraints[name] = { max: SLOPE * Math.abs(at - other.at) };
    });
  });
  const model: Model = { optimize: 'height', opType: 'max', constraints, variables };
  const solution = solver.Solve(model) as Record<string, number>;
  return stations.map((_, i) => solution[`t${i}`] ?? 0);
}

const bars = fc.uniqueArray(
  fc.record({
    at: fc.integer({ min: 20, max: 600 }),
    near: fc.integer({ min: 450, max: 950 }).map((hundredths) => hundredths / 100),
    far: fc.integer({ min: 450, max: 950 }).map((hundredths) => hundredths / 100),
    missing: fc.constantFrom('none', 'none', 'none', 'near', 'far'),
  }),
  { minLength: 1, maxLength: 9, selector: ({ at }) => at },
);

describe('the dressing plan against a linear program', () => {
  it('is the largest profile on random bars, missing readings included', () => {
    fc.assert(
      fc.property(bars, (bar) => {
        const stations: DressStation[] = bar.map(({ at, near, far, missing }) => ({
          at,
          near: missing === 'near' ? null : near,
          far: missing === 'far' ? null : far,
        }));
        const whole = bar
          .filter(({ missing }) => missing === 'none')
          .map(({ at, near, far }) => ({ at, low: Math.min(near, far) }));
        const ours = dressProfile(stations, { tolerance: TOLERANCE, slope: SLOPE }).filter((height) => height !== null);
        const theirs = byLinearProgram(whole);
        expect(ours.length).toBe(theirs.length);
        ours.forEach((height, i) => expect(height).toBeCloseTo(theirs[i]!, 6));
      }),
      { seed: 2026, numRuns: 200 },
    );
  });
});
