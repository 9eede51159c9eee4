import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Factor } from './factors';
import { seeded } from './seeded';
import { doubtOf, sharesOf, wrongOf } from './shares';

const factor = (group: string, well: number, calls: Factor['calls']) => ({ group, well, calls }) as Factor;

describe('the chances of the verdicts of a part', () => {
  it('add to one, whatever the verdict hangs on', () => {
    const any = fc.record({
      group: fc.constantFrom('depth', 'play', 'cracks'),
      well: fc.double({ min: 0, max: 1, noNaN: true }),
      calls: fc.constantFrom('replace' as const, 'recondition' as const, 'clean' as const),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 6 }), (factors) => {
        const shares = sharesOf(factors as unknown as Factor[]);
        expect(Object.values(shares).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
        for (const each of Object.values(shares)) expect(each).toBeGreaterThanOrEqual(0);
      }),
      { seed: 27, numRuns: 300 },
    );
  });

  it('multiply over groups, and go by the worst within one', () => {
    const shares = sharesOf([
      factor('depth', 0.9, 'replace'),
      factor('depth', 0.8, 'replace'),
      factor('play', 0.5, 'replace'),
      factor('burr', 0.7, 'recondition'),
      factor('groove', 0.6, 'clean'),
    ]);
    expect(shares.replace).toBeCloseTo(1 - 0.8 * 0.5, 12);
    expect(shares.recondition).toBeCloseTo(0.4 * 0.3, 12);
    expect(shares.clean).toBeCloseTo(0.4 * 0.7 * 0.4, 12);
    expect(shares.keep).toBeCloseTo(0.4 * 0.7 * 0.6, 12);
  });

  it('say how wrong a verdict may be, and of an open one how wrong the likeliest', () => {
    const { shares, wrong } = doubtOf([factor('depth', 0.7, 'replace')], 'keep');
    expect(wrong).toBeCloseTo(0.3, 12);
    expect(wrongOf(shares, 'undecided')).toBeCloseTo(0.3, 12);
    expect(wrongOf(shares, 'replace')).toBeCloseTo(0.7, 12);
    expect(doubtOf([], 'keep').wrong).toBe(0);
  });
});

describe('a stream of numbers by a seed', () => {
  it('is the same for the same seed, and another for another', () => {
    const drawn = (seed: number) => {
      const { normal, uniform } = seeded(seed);
      return Array.from({ length: 20 }, (_, i) => (i % 3 === 0 ? uniform() : normal()));
    };
    expect(drawn(7)).toEqual(drawn(7));
    expect(drawn(7)).not.toEqual(drawn(8));
  });

  it('is evenly spread and normal, as far as ten thousand tell', () => {
    const { normal, uniform } = seeded(11);
    const normals = Array.from({ length: 10_000 }, normal);
    const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
    expect(mean(normals)).toBeCloseTo(0, 1);
    expect(mean(normals.map((each) => each * each))).toBeCloseTo(1, 1);
    expect(mean(Array.from({ length: 10_000 }, uniform))).toBeCloseTo(0.5, 1);
  });
});
