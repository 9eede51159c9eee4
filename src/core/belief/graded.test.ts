import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { estimate, measured, mm, type Bounds } from '../quantity';
import { atMost, chanceOfGrade, evenlyOver, gradedAs, weighedBy, type Grades } from './graded';
import { STANDARD_NODES } from './hermite';
import { factorise, solveLower } from './matrix';

const EYE: Grades<'none' | 'light' | 'deep'> = { words: ['none', 'light', 'deep'], from: [0.15, 0.55], spread: 0.07 };
const RUNS = { seed: 26, numRuns: 200 };

describe('an eye that grades', () => {
  it('says one of its words, whatever it looks at', () => {
    fc.assert(
      fc.property(fc.double({ min: -1, max: 3, noNaN: true }), (size) => {
        const all = EYE.words.reduce((sum, word) => sum + chanceOfGrade(EYE, word, size), 0);
        expect(all).toBeCloseTo(1, 9);
        for (const word of EYE.words) expect(chanceOfGrade(EYE, word, size)).toBeGreaterThanOrEqual(0.03 / 3 - 1e-12);
      }),
      RUNS,
    );
  });

  it('is half and half where one word ends and the next begins', () => {
    // Blunders are shared alike over three words.
    expect(chanceOfGrade(EYE, 'light', 0.15)).toBeCloseTo(0.97 / 2 + 0.01, 6);
  });

  it('leaves weights that add to one, and moves them to where its word is likely', () => {
    const before = evenlyOver(0, 0.9);
    const after = gradedAs(before, EYE, 'deep');
    expect(after.weights.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
    expect(after.expected).toBeGreaterThan(0.3);
    expect(atMost(after, 0.5)).toBeLessThan(atMost(before, 0.5) / 3);
    expect(atMost(after, 0.9)).toBeCloseTo(1, 12);
  });

  it('begins with what a measure leaves: nothing of a bound, a point of what has no doubt', () => {
    const value = estimate(measured([mm(0.4)], 'feeler'))!;
    const both = weighedBy({ lo: value, hi: value } as Bounds)!;
    expect(atMost(both, 0.4)).toBeCloseTo(0.5, 1);
    expect(weighedBy({ lo: value, hi: null } as Bounds)).toBeNull();
    const sure = { value: mm(0.4), u: 0 };
    expect(weighedBy({ lo: sure, hi: sure } as Bounds)!.values).toEqual(Float64Array.of(0.4));
  });
});

describe('the nodes of a standard normal', () => {
  it('have its first moments', () => {
    const moment = (power: number) => STANDARD_NODES.reduce((sum, [node, weight]) => sum + weight * node ** power, 0);
    for (const [power, value] of [
      [0, 1],
      [1, 0],
      [2, 1],
      [3, 0],
      [4, 3],
      [6, 15],
    ] as const)
      expect(moment(power)).toBeCloseTo(value, 8);
  });
});

describe('a Cholesky factor', () => {
  it('multiplied by itself is the matrix again, and solves it', () => {
    const matrix = Float64Array.of(4, 2, 0.6, 2, 5, 1, 0.6, 1, 3);
    const factor = factorise(matrix.slice(), 3);
    const at = (i: number, j: number) => (j > i ? 0 : factor[i * 3 + j]!);
    for (let i = 0; i < 3; i += 1)
      for (let j = 0; j < 3; j += 1)
        expect([0, 1, 2].reduce((sum, k) => sum + at(i, k) * at(j, k), 0)).toBeCloseTo(matrix[i * 3 + j]!, 12);
    const solved = solveLower(factor, 3, Float64Array.of(2, 3, 1));
    for (let i = 0; i < 3; i += 1)
      expect([0, 1, 2].reduce((sum, k) => sum + at(i, k) * solved[k]!, 0)).toBeCloseTo([2, 3, 1][i]!, 12);
  });
});
