import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keeping, keepWhatHolds } from './keeping';

describe('what is kept of an answer', () => {
  it('is the very same object where nothing changed', () => {
    const before = { edges: { A: [{ near: 8 }, { near: 7 }], B: [{ near: 6 }] } };
    const after = { edges: { A: [{ near: 8 }, { near: 7.5 }], B: [{ near: 6 }] } };
    const kept = keepWhatHolds(before, after);
    expect(kept).toEqual(after);
    expect(kept).not.toBe(before);
    expect(kept.edges.A[0]).toBe(before.edges.A[0]);
    expect(kept.edges.A[1]).not.toBe(before.edges.A[1]);
    expect(kept.edges.B).toBe(before.edges.B);
  });

  it.each([
    ['a list that grew', [{ a: 1 }], [{ a: 1 }, { a: 2 }]],
    ['a list that shrank', [{ a: 1 }, { a: 2 }], [{ a: 1 }]],
    ['a key that came with nothing in it', { a: 1 }, { a: 1, b: undefined }],
    ['a key that gave way to another', { a: 1, b: undefined }, { a: 1, c: undefined }],
    ['a list in place of a record', { 0: 'a' }, ['a']],
    ['a record in place of nothing', null, { a: 1 }],
    ['nothing in place of a record', { a: 1 }, null],
    ['another count of the same', { count: -0 }, { count: 0 }],
  ])('is not all of it with %s', (_, before, after) => {
    const kept = keepWhatHolds<unknown>(before, after);
    expect(kept).toStrictEqual(after);
    expect(kept).not.toBe(before);
  });

  it('takes a map as it comes, because what is in it was not compared', () => {
    const after = { drafts: new Map([['bar.stamp', '18 in']]) };
    expect(keepWhatHolds({ drafts: new Map([['bar.stamp', '18 in']]) }, after).drafts).toBe(after.drafts);
  });

  it('takes what stands under a key that is not compared as it comes', () => {
    const [before, after] = [
      { checks: [{ a: 1 }], play: { b: 1 } },
      { checks: [{ a: 1 }], play: { b: 1 } },
    ];
    const kept = keepWhatHolds(before, after, new Set(['checks']));
    expect(kept.checks).toBe(after.checks);
    expect(kept.play).toBe(before.play);
  });

  it('equals the new answer, whatever came before it, and leaves both as they were', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (before, after) => {
        const [copyBefore, copyAfter] = [structuredClone(before), structuredClone(after)];
        expect(keepWhatHolds(before, after)).toEqual(copyAfter);
        expect(before).toEqual(copyBefore);
        expect(after).toEqual(copyAfter);
      }),
      { seed: 61 },
    );
  });

  it('is all of the old answer when the new one is equal', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(keepWhatHolds(value, structuredClone(value))).toBe(value);
      }),
      { seed: 62 },
    );
  });
});

it('a kept computation holds on to the last answer, not to the first', () => {
  const rows = keeping((depths: readonly number[]) => depths.map((near) => ({ near })));
  const first = rows([8, 7]);
  const second = rows([8, 6]);
  const third = rows([8, 6, 5]);
  expect(second[0]).toBe(first[0]);
  expect(third[1]).toBe(second[1]);
  expect(third).toEqual([{ near: 8 }, { near: 6 }, { near: 5 }]);
});
