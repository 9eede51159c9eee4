import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mm, type Estimate } from '../quantity';
import { elongation, filingsLeft, imbalance, lengthAfterCorrection } from './index';

const sure = (value: number): Estimate => ({ value: mm(value), u: 0.02 });
const cutters = (left: number[], right: number[]) => ({ left: left.map(sure), right: right.map(sure) });

describe('elongation by push and pull', () => {
  it('is the growth over the closed length, and the play per joint', () => {
    const found = elongation(sure(483.1), sure(489.6), 52);
    expect(found.percent).toBeCloseTo(1.3455, 4);
    expect(found.perJoint).toBeCloseTo(0.125, 9);
  });

  it('carries its uncertainty, as a simulation of the two lengths has it', () => {
    const u = 0.5;
    const analytic = elongation({ value: mm(480), u }, { value: mm(490), u }, 50).u;
    // Sixteen equally likely shifts of a rectangular law stand for each length.
    const shifts = Array.from({ length: 16 }, (_, i) => ((i + 0.5) / 16 - 0.5) * u * Math.sqrt(12));
    const all = shifts.flatMap((a) => shifts.map((b) => (100 * (490 + b - 480 - a)) / (480 + a)));
    const mean = all.reduce((sum, x) => sum + x, 0) / all.length;
    const spread = Math.sqrt(all.reduce((sum, x) => sum + (x - mean) ** 2, 0) / all.length);
    expect(analytic / spread).toBeCloseTo(1, 1);
  });
});

describe('filing back to the worst', () => {
  it('takes damage off the cutter it sits on', () => {
    const worst = lengthAfterCorrection(cutters([6.1, 6.0], [5.8, 5.9]), [
      { side: 'left', cutter: 2, setBack: sure(0.9) },
    ]);
    expect(worst).toMatchObject({ side: 'left', cutter: 2 });
    expect(worst?.length.value).toBeCloseTo(5.1, 9);
  });

  it('takes damage on an unmeasured cutter off the shortest of its side', () => {
    expect(
      lengthAfterCorrection(cutters([6.1], [5.6, 5.7]), [{ side: 'right', cutter: 9, setBack: sure(0.8) }])?.length
        .value,
    ).toBeCloseTo(4.8, 9);
    expect(
      lengthAfterCorrection(cutters([6.1], []), [{ side: 'right', cutter: 1, setBack: sure(0.8) }])?.length.value,
    ).toBeCloseTo(6.1, 9);
  });

  it('has nothing to say of no cutters', () => {
    expect(lengthAfterCorrection(cutters([], []), [])).toBeNull();
    expect(imbalance(cutters([6], []))).toBeNull();
  });

  it('is never longer than any cutter, and more damage never makes it longer', () => {
    const lengths = fc.array(fc.double({ min: 3, max: 9, noNaN: true }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(lengths, lengths, fc.double({ min: 0, max: 2, noNaN: true }), (left, right, setBack) => {
        const plain = lengthAfterCorrection(cutters(left, right), [])!;
        const damaged = lengthAfterCorrection(cutters(left, right), [
          { side: 'left', cutter: 1, setBack: sure(setBack) },
        ])!;
        expect(plain.length.value).toBe(Math.min(...left, ...right));
        expect(damaged.length.value).toBeLessThanOrEqual(plain.length.value);
      }),
      { seed: 31, numRuns: 150 },
    );
  });

  it('counts whole filings only', () => {
    expect(filingsLeft(4.8, 4, 0.125)).toBe(6);
    expect(filingsLeft(4.0, 4, 0.125)).toBe(0);
    expect(filingsLeft(3.5, 4, 0.125)).toBe(0);
  });

  it('tells which side is longer', () => {
    expect(imbalance(cutters([6.2, 6.0], [5.6]))?.value).toBeCloseTo(0.5, 9);
    expect(imbalance(cutters([5.6], [6.1]))?.value).toBeCloseTo(-0.5, 9);
  });
});
