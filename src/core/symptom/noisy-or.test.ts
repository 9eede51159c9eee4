import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CAUSE_LIST, rowOf, type Cause } from './causes';
import { aggravated, noisyOr } from './noisy-or';

const causes: readonly Cause[] = ['groove-worn', 'rails-unlevel', 'bar-bent', 'cutters-uneven'];
const anyCauses = fc
  .array(
    fc.record({
      present: fc.double({ min: 0, max: 1, noNaN: true }),
      strength: fc.double({ min: 0, max: 0.95, noNaN: true }),
    }),
    { minLength: 1, maxLength: causes.length },
  )
  .map((each) => each.map((figures, i) => ({ cause: causes[i]!, ...figures })));

describe('causes that add up', () => {
  it('come to the worked example', () => {
    const { causes: found, unexplained } = noisyOr(
      [
        { cause: 'groove-worn', present: 0.5, strength: 0.8 },
        { cause: 'rails-unlevel', present: 0.2, strength: 0.5 },
      ],
      0.05,
    );
    const [first, second] = found;
    expect([first!.present, first!.acting, second!.present, second!.acting].map((each) => each.toFixed(3))).toEqual([
      '0.851',
      '0.821',
      '0.294',
      '0.205',
    ]);
    expect(unexplained).toBeCloseTo(0.103, 3);
  });

  it('have chances between nothing and one, shares that add to one, and are no less likely for the complaint', () => {
    fc.assert(
      fc.property(anyCauses, (given) => {
        const { causes: found, unexplained, unexplainedShare } = noisyOr(given, 0.05);
        expect(found.reduce((sum, { share }) => sum + share, unexplainedShare)).toBeCloseTo(1, 9);
        expect(unexplained).toBeGreaterThan(0);
        for (const { cause, present, acting } of found) {
          const before = given.find((each) => each.cause === cause)!.present;
          expect(present).toBeGreaterThanOrEqual(before - 1e-12);
          expect(present).toBeLessThanOrEqual(1 + 1e-12);
          expect(acting).toBeLessThanOrEqual(present + 1e-12);
        }
      }),
      { seed: 28, numRuns: 300 },
    );
  });

  it('are stronger beside what aggravates them, and name it where it is likely there', () => {
    const strength = rowOf('groove-worn').strength;
    const dull = (present: number) => [
      { cause: 'groove-worn' as const, present: 0.5, strength },
      { cause: 'cutters-dull' as const, present, strength: 0.5 },
    ];
    const [alone] = aggravated(dull(0));
    const [beside] = aggravated(dull(1));
    expect(alone).toMatchObject({ strength, aggravatedBy: [] });
    expect(beside!.strength).toBeCloseTo(1 - (1 - strength) / 2, 12);
    expect(beside!.aggravatedBy).toEqual(['cutters-dull']);
  });

  it('name only causes that there are', () => {
    for (const cause of CAUSE_LIST)
      for (const by of rowOf(cause).aggravatedBy ?? []) expect(CAUSE_LIST, cause).toContain(by);
  });
});
