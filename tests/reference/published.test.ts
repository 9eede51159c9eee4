import { erf, std, variance } from 'mathjs';
import { cumulativeStdNormalProbability } from 'simple-statistics';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { studyResult } from '../../src/core/hand';
import {
  chiSquareQuantile,
  conformity,
  inches,
  INSTRUMENTS,
  measured,
  mm,
  MM_PER_INCH,
  normalCdf,
  probabilityWithin,
  difference,
  estimate,
  pooledScatter,
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

  it('of a mean falls with the repeats, down to what the tool shares with all of them (4.2.3, 5.2.4)', () => {
    const times = (n: number) => standardUncertainty(measured([mm(8), ...Array(n - 1).fill(mm(8))], 'depth-rod'));
    expect(times(1)).toBeCloseTo(0.053, 4);
    expect(times(9)).toBeCloseTo(0.0241, 4);
    expect(times(100_000)).toBeCloseTo(0.03 / Math.sqrt(3), 4);
  });

  it('of a difference by one tool has nothing of what the tool shares (5.2.4)', () => {
    const rod = (value: number) => estimate(measured([mm(value)], 'depth-rod'))!;
    const { resolution, placing } = INSTRUMENTS['depth-rod'];
    expect(difference(rod(8.1), rod(8)).u).toBeCloseTo(Math.sqrt(2 * (placing ** 2 + resolution ** 2 / 12)), 12);
    const caliper = estimate(measured([mm(8)], 'caliper'))!;
    expect(difference(rod(8.1), caliper).u).toBeCloseTo(Math.hypot(rod(8.1).u, caliper.u), 12);
  });

  it('of placing is the pooled standard deviation of the repeats once they are six more than their places (4.2.4), by a library', () => {
    const places = [
      [7.91, 8.02, 7.97, 8.05],
      [6.4, 6.52, 6.47],
      [7.1, 7.2],
    ] as const;
    const readings = places.map(([first, ...rest]) => measured([mm(first), ...rest.map(mm)], 'depth-rod'));
    const squares = places.reduce((sum, values) => sum + Number(variance([...values])) * (values.length - 1), 0);
    expect(pooledScatter(readings)(readings[0]!)).toBeCloseTo(Math.sqrt(squares / 6), 12);
    // Fewer replace nothing, unless they scatter more than chance allows.
    expect(pooledScatter(readings.slice(2))(readings[2]!)).toBeNull();
    const wild = [measured([mm(7), mm(7.6)], 'depth-rod')];
    expect(pooledScatter(wild)(wild[0]!)).toBeCloseTo(Number(std([7, 7.6])), 12);
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

describe('a repeatability study', () => {
  it('has the critical values of χ² of the gear example (NIST/SEMATECH e-Handbook 1.3.5.8, from memory)', () => {
    expect(chiSquareQuantile(0.025, 99)).toBeCloseTo(73.361, 2);
    expect(chiSquareQuantile(0.975, 99)).toBeCloseTo(128.422, 2);
    expect(chiSquareQuantile(0.05, 99)).toBeCloseTo(77.046, 2);
    expect(chiSquareQuantile(0.95, 99)).toBeCloseTo(123.225, 2);
  });

  it('has the mean and standard deviation of the thermometer example (JCGM 100:2008 4.4.3, table 1)', () => {
    const readings = [
      96.9, 98.18, 98.25, 98.61, 99.03, 99.49, 99.56, 99.74, 99.89, 100.07, 100.33, 100.42, 100.68, 100.95, 101.11,
      101.2, 101.57, 101.84, 102.36, 102.72,
    ];
    const { mean, sd } = studyResult({ takes: readings.map(mm), known: null });
    // The Guide gives 100.145 °C and 1.489 °C.
    expect(mean).toBeCloseTo(100.145, 3);
    expect(sd).toBeCloseTo(1.489, 3);
    expect(sd / Math.sqrt(readings.length)).toBeCloseTo(0.333, 3);
  });

  it('with a standard deviation of 13 nm gives the mean of five a doubt of 5.8 nm (JCGM 100:2008 H.1.3.2, the end gauge)', () => {
    const reading = {
      ...measured([mm(50), mm(50), mm(50), mm(50), mm(50)], 'caliper'),
      scatter: 13e-6,
      bias: { value: 0, shared: 0 },
    };
    expect(standardUncertainty(reading)).toBeCloseTo(5.8e-6, 7);
  });

  it('covers the true scatter in 95 of a hundred studies, and no wider', () => {
    let seed = 5;
    const uniform = () => ((seed = (seed * 16807) % 2147483647) - 1) / 2147483646;
    const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
    let covered = 0;
    const STUDIES = 4000;
    for (let i = 0; i < STUDIES; i += 1) {
      const { between } = studyResult({
        takes: Array.from({ length: 10 }, () => mm(8 + 0.02 * normal())),
        known: null,
      });
      covered += Number(between![0] <= 0.02 && 0.02 <= between![1]);
    }
    expect(Math.abs(covered / STUDIES - 0.95)).toBeLessThan(0.012);
  });
});
