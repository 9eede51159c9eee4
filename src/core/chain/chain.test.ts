import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mm, type Bounds, type Estimate } from '../quantity';
import { correctionWithin, elongation, filingsLeft, imbalance, lengthAfterCorrection } from './index';

const sure = (value: number): Estimate => ({ value: mm(value), u: 0.02 });
const known = (value: number): Bounds => {
  const both = sure(value);
  return { lo: both, hi: both };
};
const cutters = (left: number[], right: number[]) => ({ left: left.map(known), right: right.map(known) });
const lengths = (left: number[], right: number[]) => ({ left: left.map(sure), right: right.map(sure) });

describe('elongation by push and pull', () => {
  it('is the growth over the closed length, and the play per joint', () => {
    const found = elongation(sure(483.1), sure(489.6), 52);
    expect(found.percent).toBeCloseTo(1.3455, 4);
    expect(found.perJoint).toBeCloseTo(0.125, 9);
  });

  it('is never negative: closed longer than pulled within the doubt is none, beyond it a contradiction', () => {
    expect(elongation(sure(480.02), sure(480), 50)).toMatchObject({ percent: 0, perJoint: 0, contradicts: false });
    expect(elongation(sure(500), sure(480), 50)).toMatchObject({ percent: 0, perJoint: 0, contradicts: true });
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
      { side: 'left', cutter: 2, setBack: known(0.9) },
    ]);
    expect(worst).toMatchObject({ side: 'left', cutter: 2 });
    expect(worst?.length.value).toBeCloseTo(5.1, 2);
  });

  it('takes damage on an unmeasured cutter off the shortest of its side', () => {
    expect(
      lengthAfterCorrection(cutters([6.1], [5.6, 5.7]), [{ side: 'right', cutter: 9, setBack: known(0.8) }])?.length
        .value,
    ).toBeCloseTo(4.8, 6);
  });

  it('drops no damage of a side nobody measured: it comes off the other side, and says so', () => {
    const found = lengthAfterCorrection(cutters([6.1], []), [{ side: 'right', cutter: 1, setBack: known(0.8) }]);
    expect(found?.length.value).toBeCloseTo(5.3, 6);
    expect(found?.notPlaced).toBe('right');
  });

  it('keeps the numbers of cutters where one is known from one side only', () => {
    const bound = { lo: null, hi: sure(6.0) };
    const found = lengthAfterCorrection({ left: [bound, known(6.1), known(5.9)], right: [] }, [
      { side: 'left', cutter: 3, setBack: known(1) },
    ])!;
    expect(found).toMatchObject({ side: 'left', cutter: 3 });
    expect(correctionWithin(found, { value: mm(4), u: 0 }).least).toBe(0);
  });

  it('has nothing to say of no cutters', () => {
    expect(lengthAfterCorrection(cutters([], []), [])).toBeNull();
    expect(imbalance(lengths([6], []))).toBeNull();
  });

  it('is never longer than any cutter, and more damage never makes it longer', () => {
    const some = fc.array(fc.double({ min: 3, max: 9, noNaN: true }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(some, some, fc.double({ min: 0, max: 2, noNaN: true }), (left, right, setBack) => {
        const plain = lengthAfterCorrection(cutters(left, right), [])!;
        const damaged = lengthAfterCorrection(cutters(left, right), [
          { side: 'left', cutter: 1, setBack: known(setBack) },
        ])!;
        // The shortest of many readings is short by chance too: what is believed may lie above it by that, and not
        // below all.
        expect(plain.length.value).toBeLessThanOrEqual(Math.min(...left, ...right) + 0.03);
        expect(damaged.length.value).toBeLessThanOrEqual(plain.length.value + 1e-9);
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
    expect(imbalance(lengths([6.2, 6.0], [5.6]))?.value).toBeCloseTo(0.5, 9);
    expect(imbalance(lengths([5.6], [6.1]))?.value).toBeCloseTo(-0.5, 9);
  });
});
