import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flatMap } from './flat-map';

/** What an item may give: itself, several, none, or lists within the list, which stay lists. */
const given = fc.oneof(fc.integer(), fc.array(fc.oneof(fc.integer(), fc.array(fc.integer()))), fc.constant(null));

describe('flatMap', () => {
  it('gives what the array’s own gives, whatever each item does', () => {
    fc.assert(
      fc.property(fc.array(given), (items) => {
        const of = (item: unknown, index: number): unknown => (index % 3 === 2 ? [index, item] : item);
        expect(flatMap(items, of)).toEqual(items.flatMap(of));
      }),
      { seed: 30, numRuns: 500 },
    );
  });
});
