import { erf, std, mean } from 'mathjs';
import { cumulativeStdNormalProbability } from 'simple-statistics';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  conformity,
  inches,
  INSTRUMENTS,
  measured,
  mm,
  MM_PER_INCH,
  normalCdf,
  probabilityWithin,
  standardUncertainty,
  toInches,
} from '../../src/core/quantity';

describe('the inch (NIST SP 811, appendix B; international yard and pound agreement, 1959)', () => {
  it('is 25.4 mm exactly', () => {
    expect(MM_PER_INCH).toBe(25.4);
    expect(inches(1)).toBe(25.4);
    expect(toInches(mm(304.8))).toBeCloseTo(12, 12);
  });
});

describe('standard uncertainty (JCGM 100:2008)', () => {
  it('of a resolution is its width over √12 (4.3.7)', () => {
    const { resolution, maxError, placing } = INSTRUMENTS.caliper;
    const u = standardUncertainty(measured([mm(5)], 'caliper'));
    expect(u ** 2 - placing ** 2 - maxError ** 2 / 3).toBeCloseTo((resolution / Math.sqrt(12)) ** 2, 15);
  });

  it('of a mean is the experimental standard deviation over √n (4.2.3), by a library', () => {
    const values = [7.91, 8.02, 7.97, 8.05, 7.94] as const;
    const repeated = standardUncertainty(measured([mm(7.91), mm(8.02), mm(7.97), mm(8.05), mm(7.94)], 'depth-rod'));
    const single = standardUncertainty(measured([mm(mean([...values]) as number)], 'depth-rod'));
    const s = Number(std([...values]));
    expect(Math.sqrt(repeated ** 2 - single ** 2)).toBeCloseTo(s / Math.sqrt(values.length), 12);
  });
});

describe('conformity (JCGM 106:2012)', () => {
  it('gives the Zener diode example its 0.92 (from memory)', () => {
    expect(probabilityWithin({ value: mm(-5.47), u: 0.05 }, -5.4, 'max')).toBeCloseTo(0.92, 2);
  });

  it('gives the check values of the model', () => {
    expect(conformity({ value: mm(6.1), u: 0.2 }, 6, 'min').probability).toBeCloseTo(0.691, 3);
    expect(conformity({ value: mm(6.4), u: 0.2 }, 6, 'min').probability).toBeCloseTo(0.977, 3);
  });
});

describe('the normal distribution', () => {
  it('agrees with mathjs everywhere', () => {
    fc.assert(
      fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (z) => {
        expect(Math.abs(normalCdf(z) - (1 + erf(z / Math.SQRT2)) / 2)).toBeLessThan(1e-12);
      }),
      { seed: 1, numRuns: 500 },
    );
  });

  it('agrees with the table of simple-statistics to its four places', () => {
    for (const z of [-3, -1.96, -1, -0.5, 0, 0.5, 1, 1.645, 1.96, 3]) {
      expect(normalCdf(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 3);
    }
  });

  it('keeps its tails (Abramowitz & Stegun, table 26.2, from memory)', () => {
    expect(normalCdf(-5)).toBeCloseTo(2.866516e-7, 12);
    expect(normalCdf(-8)).toBeGreaterThan(0);
    expect(normalCdf(-Infinity)).toBe(0);
    expect(normalCdf(Infinity)).toBe(1);
  });
});
